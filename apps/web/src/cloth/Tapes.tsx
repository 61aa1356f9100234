import type { LengthUnit } from '@lemmata/core/units'
import { DYES } from '../look/theme.ts'
import { rulerTicks } from './rulers.ts'
import { RULER_PX, type View } from './view.ts'

interface Props {
  readonly view: View
  readonly width: number
  readonly height: number
  readonly unit: LengthUnit
  /** Turned over: the cloth's width, for places are still measured from what is its left edge in front. */
  readonly mirroredMm: number | null
  /** What is held, in front: its length is shown on both tapes. mm. */
  readonly held: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number } | null
}

const LENGTH = { small: 4, middle: 7, large: 10 }

/** A tape measure along the top and the left edge, in the teacher's unit, with a brass plate where they meet. */
export function Tapes({ view, width, height, unit, mirroredMm, held }: Props) {
  const [from, to] = [-view.x / view.scale, (width - view.x) / view.scale]
  const across = mirroredMm === null ? rulerTicks(from, to, view.scale, unit) : rulerTicks(mirroredMm - to, mirroredMm - from, view.scale, unit)
  const down = rulerTicks(-view.y / view.scale, (height - view.y) / view.scale, view.scale, unit)
  const xOf = (mm: number): number => view.x + (mirroredMm === null ? mm : mirroredMm - mm) * view.scale
  const yOf = (mm: number): number => view.y + mm * view.scale
  const [heldLeft, heldRight] = held ? [xOf(held.left), xOf(held.right)].sort((a, b) => a - b) : [0, 0]
  return (
    <g aria-hidden="true" fontSize="11" fill={DYES.tapeInk} stroke={DYES.tapeInk}>
      <rect x="0" y="0" width={width} height={RULER_PX} fill={DYES.tape} stroke="none" />
      <rect x="0" y="0" width={RULER_PX} height={height} fill={DYES.tape} stroke="none" />
      <path d={`M0 ${RULER_PX - 0.5} H${width} M${RULER_PX - 0.5} 0 V${height}`} stroke={DYES.brass} fill="none" />
      {across.map((tick) => {
        const x = xOf(tick.mm)
        if (x < RULER_PX) return null
        return (
          <g key={tick.mm}>
            <line x1={x} x2={x} y1={RULER_PX - LENGTH[tick.size]} y2={RULER_PX} strokeWidth="0.8" />
            {tick.label && (
              <text x={x} y={11} textAnchor="middle" stroke="none">
                {tick.label}
              </text>
            )}
          </g>
        )
      })}
      {down.map((tick) => {
        const y = yOf(tick.mm)
        if (y < RULER_PX) return null
        return (
          <g key={tick.mm}>
            <line x1={RULER_PX - LENGTH[tick.size]} x2={RULER_PX} y1={y} y2={y} strokeWidth="0.8" />
            {tick.label && (
              <text transform={`translate(11 ${y}) rotate(-90)`} textAnchor="middle" stroke="none">
                {tick.label}
              </text>
            )}
          </g>
        )
      })}
      {held && (
        <g fill={DYES.indigo} stroke="none">
          <rect x={Math.max(RULER_PX, heldLeft ?? 0)} y={RULER_PX - 4} width={Math.max(0, (heldRight ?? 0) - Math.max(RULER_PX, heldLeft ?? 0))} height="4" />
          <rect x={RULER_PX - 4} y={Math.max(RULER_PX, yOf(held.top))} width="4" height={Math.max(0, yOf(held.bottom) - Math.max(RULER_PX, yOf(held.top)))} />
        </g>
      )}
      <rect x="0" y="0" width={RULER_PX} height={RULER_PX} fill={DYES.brass} stroke={DYES.tapeInk} strokeWidth="0.6" />
      <text x={RULER_PX / 2} y={16} textAnchor="middle" stroke="none" fontWeight="600">
        {unit}
      </text>
    </g>
  )
}
