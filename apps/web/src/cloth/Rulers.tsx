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
}

const LENGTH = { small: 4, middle: 7, large: 10 }

/** A ruler on the top and left edges, in the teacher's unit. */
export function Rulers({ view, width, height, unit, mirroredMm }: Props) {
  const [from, to] = [-view.x / view.scale, (width - view.x) / view.scale]
  const across = mirroredMm === null ? rulerTicks(from, to, view.scale, unit) : rulerTicks(mirroredMm - to, mirroredMm - from, view.scale, unit)
  const down = rulerTicks(-view.y / view.scale, (height - view.y) / view.scale, view.scale, unit)
  return (
    <g aria-hidden="true" fontSize="10.5" fill={DYES.walnut} stroke={DYES.edge}>
      <rect x="0" y="0" width={width} height={RULER_PX} fill={DYES.paper} stroke="none" />
      <rect x="0" y="0" width={RULER_PX} height={height} fill={DYES.paper} stroke="none" />
      {across.map((tick) => {
        const x = view.x + (mirroredMm === null ? tick.mm : mirroredMm - tick.mm) * view.scale
        if (x < RULER_PX) return null
        return (
          <g key={tick.mm}>
            <line x1={x} x2={x} y1={RULER_PX - LENGTH[tick.size]} y2={RULER_PX} strokeWidth="0.8" />
            {tick.label && (
              <text x={x + 2} y={11} stroke="none">
                {tick.label}
              </text>
            )}
          </g>
        )
      })}
      {down.map((tick) => {
        const y = view.y + tick.mm * view.scale
        if (y < RULER_PX) return null
        return (
          <g key={tick.mm}>
            <line x1={RULER_PX - LENGTH[tick.size]} x2={RULER_PX} y1={y} y2={y} strokeWidth="0.8" />
            {tick.label && (
              <text x={2} y={y - 2} stroke="none">
                {tick.label}
              </text>
            )}
          </g>
        )
      })}
      <rect x="0" y="0" width={RULER_PX} height={RULER_PX} fill={DYES.linen} stroke={DYES.rule} />
      <text x={RULER_PX / 2} y={16} textAnchor="middle" stroke="none">
        {unit}
      </text>
    </g>
  )
}
