/** What is being drawn, over the cloth: its line, the places given, and a tag with the figures that change. */
import { MEASURE, measureAlong, measureBetween } from '@lemmata/core/draw'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import { sum } from '@lemmata/core/base'
import { type Guide, lengthToDraw, type ReadGuide, readGuide } from '@lemmata/core/guide'
import { counted, formatLength, type LengthUnit } from '@lemmata/core/units'
import { DYES } from '../../look/theme.ts'
import { toScreen, type View } from '../view.ts'
import { guideLines } from './guide-lines.ts'
import type { Drawing } from './use-drawing.ts'

interface Props {
  readonly drawing: Drawing
  readonly view: View
  readonly widthPx: number
  readonly done: WorkedExercise | null
  readonly pointer: Point | null
  /** Where the pointer lies, when it is somewhere in particular. */
  readonly words: string | null
  readonly unit: LengthUnit
  readonly isDark: boolean
  /** Of what is held: how many of its stitches a measured length would be. */
  readonly pitchMm: number | null
  /** What is held: measured along where both places lie on it. */
  readonly along: Guide | null
}

/** Its words break within so much; on a narrow screen it stays on it. */
const TAG_PX = 280

export function DrawOverlay({ drawing, view, widthPx, done, pointer, words, unit, isDark, pitchMm, along }: Props) {
  const ink = isDark ? DYES.paper : DYES.indigo
  const lines = drawing.guides.flatMap(guideLines)
  const at = pointer && toScreen(view, pointer)
  const said = [drawing.tool === MEASURE ? measuredInWords(drawing, unit, pitchMm, along) : figuresOf(drawing, done, unit), words].filter((one) => one !== null)
  return (
    <g className="drawing" aria-hidden="true">
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        {lines.map((data, index) => (
          <path key={index} d={data} fill="none" stroke={ink} strokeWidth={1.4 / view.scale} strokeDasharray={`${5 / view.scale} ${4 / view.scale}`} />
        ))}
      </g>
      {drawing.places.length < 40 &&
        drawing.places.map((place, index) => {
          const { x, y } = toScreen(view, place)
          return <circle key={index} cx={x} cy={y} r="4" fill={DYES.paper} stroke={DYES.indigo} strokeWidth="2" />
        })}
      {at && said.length > 0 && (
        <foreignObject x={Math.max(0, Math.min(at.x + 16, widthPx - TAG_PX))} y={at.y + 14} width={TAG_PX} height="60">
          <div className="swing-tag">
            {said.map((one) => (
              <div key={one}>{one}</div>
            ))}
          </div>
        </foreignObject>
      )}
    </g>
  )
}

/** "82.4 mm at 31°, 24 stitches of 3.43 mm": how far, in which direction, and what it would be in the stitch that is held. */
export function measuredInWords(
  { places, guides: [guide] }: Pick<Drawing, 'places' | 'guides'>,
  unit: LengthUnit,
  pitchMm: number | null,
  along: Guide | null,
): string | null {
  const [from] = places
  const read = guide ? readGuide(guide) : null
  const to = places[1] ?? (read?.ok && read.value.kind === 'line' ? read.value.path.points.at(-1) : undefined)
  if (!from || !to) return null
  const { lengthMm, degrees } = measureBetween(from, to)
  // Along what is held, where both places lie on it; else straight.
  const alongMm = along && 'path' in along && along.path !== undefined ? measureAlong(along.path, from, to) : null
  const counted = alongMm ?? lengthMm
  const stitches = pitchMm === null || counted < pitchMm ? '' : `, ${(counted / pitchMm).toFixed(1)} of ${formatLength(pitchMm, unit, 2)}`
  const straight = `${formatLength(lengthMm, unit, 1)} at ${degrees}°`
  return alongMm === null || Math.abs(alongMm - lengthMm) < 0.05
    ? `${straight}${stitches}`
    : `${formatLength(alongMm, unit, 1)} along it${stitches}; straight ${straight}`
}

/** "82.4 mm, 24 stitches of 3.43 mm"; of a line with corners the last leg too. */
export function figuresOf({ guides, places, tool }: Pick<Drawing, 'guides' | 'places' | 'tool'>, done: WorkedExercise | null, unit: LengthUnit): string | null {
  const read = guides.flatMap((guide) => {
    const one = readGuide(guide)
    return one.ok ? [one.value] : []
  })
  const [first] = read
  if (!first) return null
  const length = first.kind === 'spots' ? counted(first.at.length, 'place') : formatLength(sum(read.map(lengthToDraw)), unit, 1)
  if (!done) return length
  const { pitchMm } = done.pieces[0].worked.fitted
  const each = first.kind === 'line' && read.length === 1 ? ` of ${formatLength(pitchMm, unit, 2)}` : ''
  return `${length}, ${counted(done.stitches, 'stitch', 'stitches')}${each}${tool.id === 'line' ? legOf(first, places.length, pitchMm, unit) : ''}`
}

/** "; this leg 14.4 mm, 4.0 of them": where a line turns a corner, so that each leg can be made whole. */
function legOf(read: ReadGuide, places: number, pitchMm: number, unit: LengthUnit): string {
  const [from, to] = read.kind === 'line' ? read.path.points.slice(-2) : []
  if (places < 2 || !from || !to || pitchMm <= 0) return ''
  const legMm = Math.hypot(to.x - from.x, to.y - from.y)
  return `; this leg ${formatLength(legMm, unit, 1)}, ${(legMm / pitchMm).toFixed(1)} of them`
}
