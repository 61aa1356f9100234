/** Two or three stitches side by side on the same guide: look, width, thread, minutes, difficulty. */
import type { Surroundings } from '@lemmata/core/assign'
import { type WorkedExercise, workExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionsOf, motionWord } from '@lemmata/core/order'
import { layAlone } from '@lemmata/core/sampler'
import { formatLength } from '@lemmata/core/units'
import { Button } from 'antd'
import { useMemo } from 'react'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { swatchGuide, tryGuides } from './swatch.ts'

interface Props {
  readonly documents: readonly StitchDocument[]
  readonly around: Surroundings
  readonly clothHex: string
  readonly units: 'mm' | 'in'
  readonly onDrop: (id: string) => void
  readonly onClose: () => void
}

export function Compare({ documents, around, clothHex, units, onDrop, onClose }: Props) {
  const compared = useMemo(() => {
    // One guide for all where they share a kind; else each on its own practice guide.
    const shared = documents[0]?.guide.find((kind) => documents.every((document) => document.guide.includes(kind)))
    const common = shared && documents[0] ? tryGuides({ ...documents[0], guide: [shared] })[0]?.guide : undefined
    return documents.map((document) => ({
      document,
      same: common !== undefined,
      result: workExercise(layAlone({ id: `compare-${document.id}`, name: document.name, stitch: document.id }, common ?? swatchGuide(document)), around),
    }))
  }, [documents, around])
  const done = compared.map(({ result }) => (result.ok ? result.value : null))
  const row = (name: string, value: (one: WorkedExercise) => string) => (
    <tr>
      <th scope="row">{name}</th>
      {done.map((one, index) => (
        <td key={documents[index]?.id}>{one ? value(one) : '\u2013'}</td>
      ))}
    </tr>
  )
  return (
    <section className="panel compare" aria-label="Stitches compared">
      <div style={{ display: 'flex', alignItems: 'center', gap: 10 }}>
        <h2 style={{ flex: 1, margin: 0 }}>Side by side</h2>
        <span className="quiet">{compared[0]?.same ? 'on the same guide' : 'each on a guide of its own kind'}</span>
        <Button size="small" onClick={onClose}>
          Close
        </Button>
      </div>
      <table>
        <thead>
          <tr>
            <td />
            {documents.map((document) => (
              <th key={document.id} scope="col">
                {document.name}{' '}
                <Button size="small" type="text" aria-label={`Leave ${document.name} out`} onClick={() => onDrop(document.id)}>
                  ×
                </Button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Front</th>
            {done.map((one, index) => (
              <td key={documents[index]?.id}>
                {one && <ThreadCanvas done={one} heightPx={96} pxPerMm={5} clothHex={clothHex} label={`${one.exercise.name}, front`} />}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row">Back</th>
            {done.map((one, index) => (
              <td key={documents[index]?.id}>
                {one && <ThreadCanvas done={one} heightPx={96} pxPerMm={5} side="back" clothHex={clothHex} label={`${one.exercise.name}, back`} />}
              </td>
            ))}
          </tr>
          {row('Reads as wide as', (one) => formatLength(one.widthMm, units, 2))}
          {row('Thread for 10 cm', (one) => `${((one.thread.total - one.thread.tails) / Math.max(1, one.pieces[0].worked.fitted.lengthMm) / 10).toFixed(2)} m`)}
          {row('Minutes for 10 cm', (one) => ((one.minutes.stitching / Math.max(1, one.pieces[0].worked.fitted.lengthMm)) * 100).toFixed(1))}
          {row('Difficulty', (one) => String(Math.round(one.difficulty.score)))}
          {row('Strands', (one) => String(one.assigned.main.bundle.strands))}
          {row('The hands learn', (one) => motionsOf(one).map(motionWord).join(', ') || 'to come up and go down evenly')}
        </tbody>
      </table>
    </section>
  )
}
