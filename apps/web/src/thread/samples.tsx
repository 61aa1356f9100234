/** At four times true size: the line as it lies, and the eye end of its needle with the bundle in it. */
import type { AssignedThread } from '@lemmata/core/assign'
import { drawLine, lookOf } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import { formatLength, type LengthUnit } from '@lemmata/core/units'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'
import { readScreenScale } from '../drawing/screen-scale.ts'
import { DYES } from '../look/theme.ts'

const TIMES = 4
const LINE_PX = { width: 86, height: 28 }

export function LineSample({ done, assigned, clothHex, units }: { done: WorkedExercise; assigned: AssignedThread; clothHex: string; units: LengthUnit }) {
  const ref = useRef<HTMLCanvasElement>(null)
  // Four times its size on this screen, as it was matched on the Cloth stage.
  const scale = readScreenScale() * TIMES
  const look = lookOf(done.assigned).roles?.[assigned.role]
  useEffect(() => {
    const context = ref.current && prepareCanvas(ref.current, LINE_PX.width, LINE_PX.height)
    if (!context || !look) return
    context.fillStyle = clothHex
    context.fillRect(0, 0, LINE_PX.width, LINE_PX.height)
    context.scale(scale, scale)
    const middle = LINE_PX.height / 2 / scale
    paintItems(
      context,
      drawLine(
        [
          { x: 4 / scale, y: middle },
          { x: (LINE_PX.width - 4) / scale, y: middle },
        ],
        look,
        scale * (window.devicePixelRatio || 1),
      ),
    )
  }, [look, clothHex, scale])
  const said = `${formatLength(assigned.bundle.lineWidthMm, units, units === 'mm' ? 2 : 3)} wide`
  return <canvas ref={ref} role="img" aria-label={`Lies ${said}`} title={said} style={LINE_PX} />
}

export function EyeSample({ assigned }: { assigned: AssignedThread }) {
  const needle = assigned.needle.value
  const fit = assigned.needles.find((one) => one.needle.family.id === needle.family.id && one.needle.size === needle.size)
  const refused = fit?.verdict === 'no'
  const px = readScreenScale() * TIMES
  const [eye, shaft, bundle] = [needle.eyeMm * px, needle.shaftMm * px, assigned.bundle.diameterMm * px]
  const outer = Math.min(28, eye + 0.24 * shaft + 4)
  const hex = assigned.thread.value.colour.hex
  return (
    <svg
      width="72"
      height="28"
      role="img"
      aria-label={`Eye of ${nameNeedle(needle).toLowerCase()}, ${refused ? 'too narrow for the bundle' : 'with the bundle in it'}`}
      style={{ display: 'block' }}
    >
      <path
        d={`M70 ${14 - shaft / 2} H34 C26 ${14 - outer / 2} 12 ${14 - outer / 2} 4 ${14 - outer / 4} Q1 14 4 ${14 + outer / 4} C12 ${14 + outer / 2} 26 ${14 + outer / 2} 34 ${14 + shaft / 2} H70 Z`}
        fill="#8f979f"
      />
      <ellipse cx="18" cy="14" rx="11" ry={Math.max(1.2, eye / 2)} fill={DYES.paper} />
      <circle cx="18" cy="14" r={Math.max(1.2, bundle / 2)} fill={hex} stroke={refused ? DYES.madder : DYES.ink} strokeWidth={refused ? 2 : 0.6} />
    </svg>
  )
}
