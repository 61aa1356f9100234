/** Guides that no exercise is worked on: in pencil, to be chosen and worked, or left. */
import type { DrawnGuide, Sampler } from '@lemmata/core/sampler'
import { guideWord } from '@lemmata/core/guide'
import { DYES } from '../look/theme.ts'
import { guideLines } from './draw/guide-lines.ts'
import type { View } from './view.ts'

interface Props {
  readonly guides: readonly DrawnGuide[]
  readonly view: View
  readonly selected: string | null
  readonly isDark: boolean
  readonly mirroredMm: number | null
  readonly onSelect: (id: string) => void
}

export function sketchesOf(sampler: Pick<Sampler, 'drawing' | 'exercises'>): readonly DrawnGuide[] {
  const used = new Set(sampler.exercises.flatMap((exercise) => exercise.on.map((on) => on.guide)))
  return sampler.drawing.guides.filter((one) => !used.has(one.id))
}

export function Sketches({ guides, view, selected, isDark, mirroredMm, onSelect }: Props) {
  const pencil = isDark ? DYES.paper : '#5b5750'
  const turned = mirroredMm === null ? '' : ` translate(${mirroredMm} 0) scale(-1 1)`
  return guides.map((drawn) => (
    <g
      key={drawn.id}
      className="sketch"
      role="button"
      tabIndex={0}
      aria-pressed={selected === drawn.id}
      aria-label={`Sketch: ${drawn.name ?? guideWord(drawn.guide.kind)}`}
      transform={`translate(${view.x} ${view.y}) scale(${view.scale})${turned}`}
      onClick={() => onSelect(drawn.id)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return
        event.preventDefault()
        onSelect(drawn.id)
      }}
    >
      {guideLines(drawn.guide).map((data, index) => (
        <g key={index} fill="none">
          <path d={data} stroke="transparent" strokeWidth={14 / view.scale} pointerEvents="stroke" />
          <path
            d={data}
            stroke={selected === drawn.id ? (isDark ? DYES.weldFill : DYES.indigo) : pencil}
            strokeWidth={(selected === drawn.id ? 2 : 1.3) / view.scale}
            strokeDasharray={`${6 / view.scale} ${4 / view.scale}`}
          />
        </g>
      ))}
    </g>
  ))
}
