/** A ruler that lies along the guide that is held, from where it begins. */
import type { Guide } from '@lemmata/core/guide'
import { leftOf, parsePath, placeAt, step } from '@lemmata/core/geometry'
import type { LengthUnit } from '@lemmata/core/units'
import { useMemo } from 'react'
import { DYES } from '../look/theme.ts'
import { rulerTicks } from './rulers.ts'
import { toScreen, type View } from './view.ts'

interface Props {
  readonly guide: Guide
  readonly view: View
  readonly unit: LengthUnit
  readonly isDark: boolean
}

const PX = { small: 5, middle: 8, large: 12 } as const

export function RulerAlong({ guide, view, unit, isDark }: Props) {
  const data = 'path' in guide ? guide.path : undefined
  const path = useMemo(() => (data === undefined ? null : parsePath(data)), [data])
  if (!path?.ok) return null
  const way = path.value
  const ink = isDark ? DYES.paper : DYES.indigo
  return (
    <g className="ruler-along" aria-hidden="true">
      {rulerTicks(0, way.length, view.scale, unit).map(({ mm, label, size }) => {
        const { at, direction } = placeAt(way, mm, mm > way.length - 1e-6)
        const side = leftOf(direction)
        const [from, to, text] = [0, PX[size], PX[size] + 8].map((px) => toScreen(view, step(at, side, px / view.scale)))
        if (!from || !to || !text) return null
        return (
          <g key={mm}>
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={ink} strokeWidth={size === 'large' ? 1.6 : 1} />
            {label !== null && (
              <text x={text.x} y={text.y + 4} textAnchor="middle" fill={ink} stroke={isDark ? DYES.indigo : DYES.paper} strokeWidth="3" paintOrder="stroke">
                {label}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}
