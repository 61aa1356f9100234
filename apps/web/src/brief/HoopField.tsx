/** In what the cloth is held while it is worked: a round or an oval hoop, a frame, or nothing; how large, and where. */
import { HOOP_SIZES } from '@lemmata/core/materials'
import type { Hoop, Sampler } from '@lemmata/core/sampler'
import { Segmented, Select } from 'antd'
import { Field, LengthField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

type Shape = Hoop['shape'] | 'none'

/** 8 by 5 in is the oval that is sold most; a frame that holds a band sampler. */
const USUAL = { oval: [196, 120], frame: [300, 220] } as const

export function HoopField({ sampler }: { sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'units'> }) {
  const { cloth, workingHoop: hoop, units } = sampler
  const at = hoop?.at ?? ([cloth.widthMm / 2, cloth.heightMm / 2] as const)
  const set = (next: Hoop | null): void => edit({ kind: 'set-hoop', hoop: next })
  const choose = (shape: Shape): void => {
    if (shape === 'none') set(null)
    else if (shape === 'round') setRound(203)
    else set({ shape, insideMm: hoop && hoop.shape !== 'round' ? hoop.insideMm : USUAL[shape], at })
  }
  const setRound = (nominal: number): void => {
    const size = HOOP_SIZES.find((one) => one.nominalMm === nominal)
    if (size) set({ shape: 'round', nominalMm: size.nominalMm, insideMm: size.insideMm, at })
  }
  const length = (label: string, valueMm: number, min: number, max: number, change: (mm: number) => Hoop) => (
    <LengthField label={label} valueMm={valueMm} unit={units} min={min} max={max} decimals={1} onChange={(mm) => set(change(mm))} />
  )
  return (
    <>
      <Field label="Worked in" hint="The design keeps 12 mm clear of the wood, for fingers and the needle’s angle.">
        {() => (
          <Segmented<Shape>
            aria-label="Worked in"
            value={hoop?.shape ?? 'none'}
            onChange={choose}
            options={[
              { value: 'none', label: 'No hoop' },
              { value: 'round', label: 'Round hoop' },
              { value: 'oval', label: 'Oval hoop' },
              { value: 'frame', label: 'Frame' },
            ]}
          />
        )}
      </Field>
      {hoop?.shape === 'round' && (
        <Field label="Working hoop">
          {(id) => (
            <Select
              id={id}
              value={hoop.nominalMm}
              onChange={setRound}
              options={HOOP_SIZES.map((size) => ({
                value: size.nominalMm,
                label: `${size.inches} in (${(size.nominalMm / 10).toFixed(1)} cm), ${size.insideMm} mm inside`,
              }))}
            />
          )}
        </Field>
      )}
      {hoop && hoop.shape !== 'round' && (
        <div className="two">
          {length('Free inside, across', hoop.insideMm[0], 50, 2000, (mm) => ({ ...hoop, insideMm: [mm, hoop.insideMm[1]] }))}
          {length('Free inside, down', hoop.insideMm[1], 50, 2000, (mm) => ({ ...hoop, insideMm: [hoop.insideMm[0], mm] }))}
        </div>
      )}
      {hoop && (
        <div className="two">
          {length('Its middle, from the left', hoop.at[0], 0, 3000, (mm) => ({ ...hoop, at: [mm, hoop.at[1]] }))}
          {length('Its middle, from the top', hoop.at[1], 0, 3000, (mm) => ({ ...hoop, at: [hoop.at[0], mm] }))}
        </div>
      )}
    </>
  )
}
