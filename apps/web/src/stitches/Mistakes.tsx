/** Usual mistakes beside the good stitch, and what would come undone: all worked, none drawn by hand. */
import { drawThread, lookOf } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { pullEnd, safeCut, type ShownMistake, showMistake } from '@lemmata/core/hold'
import { usualMistakes } from '@lemmata/core/notation'
import type { Segment } from '@lemmata/core/work'
import { useMemo } from 'react'
import { ItemsCanvas } from '../drawing/ItemsCanvas.tsx'

const PX_PER_MM = 9

export function Mistakes({ done, clothHex }: { done: WorkedExercise; clothHex: string }) {
  const shown = useMemo(
    () =>
      usualMistakes(done.assigned.document).flatMap((mistake): readonly ShownMistake[] => {
        const one = showMistake(done.pieces[0].work, mistake)
        return one ? [one] : []
      }),
    [done],
  )
  const box = useMemo(() => startOf(done.pieces[0].worked.segments), [done])
  if (!box) return null
  const draw = (segments: readonly Segment[]) =>
    drawThread(segments, { side: 'front', look: lookOf(done.assigned), detail: 'full', pixelsPerMm: 12, cloth: clothHex })
  return (
    <div className="mistakes">
      <figure>
        <ItemsCanvas
          items={draw(done.pieces[0].worked.segments)}
          box={box}
          pxPerMm={PX_PER_MM}
          clothHex={clothHex}
          label={`${done.assigned.document.name}, well worked`}
        />
        <figcaption>
          <b>As it should be</b>
          <span className="quiet">{done.assigned.document.look?.front ?? ''}</span>
        </figcaption>
      </figure>
      {shown.map((one) => (
        <figure key={one.mistake.name}>
          <ItemsCanvas items={draw(one.worked.segments)} box={box} pxPerMm={PX_PER_MM} clothHex={clothHex} label={`${one.mistake.name}: ${one.sentence}`} />
          <figcaption>
            <b>{one.mistake.name}</b>
            <span className={one.comesUndone ? 'wrong' : 'quiet'}>{one.sentence}</span>
            <span>{one.mistake.mend}</span>
          </figcaption>
        </figure>
      ))}
    </div>
  )
}

/** The first stitches of the row, as much of them as a picture holds. */
function startOf(segments: readonly Segment[]) {
  const front = segments.filter((segment) => segment.side === 'front')
  if (front.length === 0) return null
  const points = front.flatMap((segment) => segment.points)
  const [left, top, bottom] = [Math.min(...points.map((at) => at.x)), Math.min(...points.map((at) => at.y)), Math.max(...points.map((at) => at.y))]
  const middle = (top + bottom) / 2
  const half = Math.min(6, Math.max(2.4, (bottom - top) / 2 + 1))
  return { left: left - 1.2, top: middle - half, right: left + 20, bottom: middle + half }
}

/** Would it hold? Said for an end that was not fastened, and for a stitch in the middle that has to come out. */
export function WouldItHold({ done }: { done: WorkedExercise }) {
  const { pulled, cut } = useMemo(() => {
    const [{ worked }] = done.pieces
    const front = worked.segments.filter((segment) => segment.side === 'front')
    const middle = front[Math.floor(front.length / 2)]
    return { pulled: pullEnd(worked), cut: middle ? safeCut(worked, middle.sequence) : null }
  }, [done])
  return (
    <dl className="facts-list">
      <dt>An end not fastened</dt>
      <dd>{pulled.sentence}</dd>
      {cut && (
        <>
          <dt>To take one out</dt>
          <dd>{cut.sentence}</dd>
        </>
      )}
    </dl>
  )
}
