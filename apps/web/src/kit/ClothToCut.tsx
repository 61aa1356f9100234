/** The class's cloth: how large the pieces, how they lie on the width that is bought, how much of it. */
import type { Kit } from '@lemmata/core/kit'
import type { Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { problemInWords } from '@lemmata/contract'
import { KitBox } from './KitBox.tsx'
import { clothTick } from './ticks.ts'
import type { TickList } from './use-ticks.ts'
import { PlanPicture } from '../cloth/PlanPicture.tsx'

export function ClothToCut({ sampler, kit, ticks }: { readonly sampler: Sampler; readonly kit: Kit; readonly ticks: TickList }) {
  const { cloth } = kit
  const { units } = sampler
  const length = (mm: number): string => formatLength(mm, units, units === 'mm' ? 0 : 1)
  return (
    <div className="kit-cloth">
      <h2>
        {counted(cloth.count, 'piece')} of {length(cloth.piece.widthMm)} by {length(cloth.piece.heightMm)}
      </h2>
      <p className="why">One for every kit and your own.</p>
      {cloth.plan.ok && (
        <p className="kit-cloth-done">
          <KitBox tick={clothTick(kit)} ticks={ticks} number={cloth.count} label="The cloth is cut" /> All pieces are cut: they are taken off your stores.
        </p>
      )}
      {cloth.plan.ok ? (
        <>
          <p>
            Buy <strong>{units === 'mm' ? `${(cloth.plan.value.toBuyMm / 1000).toFixed(1)} m` : length(cloth.plan.value.toBuyMm)}</strong> of cloth{' '}
            {length(cloth.boltMm)} wide
            {cloth.shrinkage > 0 ? `; washed first, it may shrink by ${Math.round(cloth.shrinkage * 100)} %` : ''}. Tear or cut along a thread,{' '}
            {cloth.plan.value.columns} across.
          </p>
          <PlanPicture numbered plan={cloth.plan.value} label={`${cloth.count} pieces in ${cloth.plan.value.rows} rows of ${cloth.plan.value.columns}`} />
        </>
      ) : (
        <p className="wrong">{cloth.plan.problems.map((one) => problemInWords(one, units)).join(' ')}</p>
      )}
      <p className="quiet">How it is washed and how wide it comes is set under The cloth, in the stage Cloth.</p>
    </div>
  )
}
