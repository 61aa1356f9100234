/** One length at which all the rows that are held come out in whole stitches, and the hoop that holds them. */
import type { GuideId } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfHeld } from '@lemmata/core/layout'
import { giveLength, hoopAround, lengthsForAll, meetEvery, rowsHeld } from '@lemmata/core/refit'
import type { Sampler } from '@lemmata/core/sampler'
import { formatLength } from '@lemmata/core/units'
import { Modal, Radio } from 'antd'
import { useMemo, useState } from 'react'
import { LengthField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly ids: readonly GuideId[]
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

export function OneLengthDialog({ sampler, ids, done, onClose }: Props) {
  const { drawing, units } = sampler
  // As they were when it was opened: giving them a length changes what is fitted.
  const [rows] = useState(() => rowsHeld(drawing, ids, done))
  const longest = Math.max(10, ...rows.map((row) => row.lengthMm))
  const [leastMm, setLeast] = useState(Math.round(longest * 0.85))
  const [mostMm, setMost] = useState(Math.round(longest * 1.15))
  const lengths = useMemo(() => lengthsForAll(rows, longest, leastMm, mostMm), [rows, longest, leastMm, mostMm])
  const [picked, setPicked] = useState(0)
  const chosen = lengths[Math.min(picked, lengths.length - 1)]
  const box = boxOfHeld(drawing, ids)
  const hoop = chosen && box ? hoopAround(chosen.lengthMm, box.bottom - box.top) : null
  const meet = chosen ? meetEvery(rows, chosen.lengthMm) : null
  const length = (mm: number): string => formatLength(mm, units, units === 'mm' ? 1 : 3)
  return (
    <Modal
      open
      title="One length for these rows"
      okText={chosen ? `Make all ${length(chosen.lengthMm)} long` : 'Make them so long'}
      okButtonProps={{ disabled: !chosen || rows.length === 0 }}
      onOk={() => {
        if (chosen) edit(giveLength(drawing, rows, chosen.lengthMm))
        onClose()
      }}
      onCancel={onClose}
      width={560}
    >
      {rows.length === 0 ? (
        <p>Hold some straight rows that are worked in a stitch; what is bent or has corners keeps its own length.</p>
      ) : (
        <>
          <div className="two">
            <LengthField label="From" valueMm={leastMm} unit={units} min={5} max={mostMm} decimals={1} onChange={setLeast} />
            <LengthField label="To" valueMm={mostMm} unit={units} min={leastMm} max={1500} decimals={1} onChange={setMost} />
          </div>
          <Radio.Group
            aria-label="Length"
            className="length-choices"
            value={chosen ? lengths.indexOf(chosen) : 0}
            onChange={(event) => setPicked(event.target.value as number)}
          >
            {lengths.map((one, index) => (
              <Radio key={one.lengthMm} value={index}>
                {length(one.lengthMm)}: {one.off < 0.0005 ? 'every row exactly' : `stitches within ${(one.off * 100).toFixed(1)} % of what is asked`}
              </Radio>
            ))}
          </Radio.Group>
          {chosen && (
            <table className="plain-table">
              <thead>
                <tr>
                  <th scope="col">Row</th>
                  <th scope="col">Now</th>
                  <th scope="col">Then</th>
                </tr>
              </thead>
              <tbody>
                {rows.map((row, index) => (
                  <tr key={row.guide}>
                    <td>{row.name}</td>
                    <td>{length(row.lengthMm)}</td>
                    <td>
                      {chosen.rows[index]?.count} of {formatLength(chosen.rows[index]?.pitchMm ?? 0, units)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {chosen && (
            <p>
              {meet === null ? '' : `Stitches of all rows meet every ${length(meet)}. `}
              {hoop
                ? `The smallest hoop that holds them is ${hoop.inches} in (${hoop.nominalMm} mm).`
                : 'No hoop in the list holds them; work them on a frame.'}
            </p>
          )}
        </>
      )}
    </Modal>
  )
}
