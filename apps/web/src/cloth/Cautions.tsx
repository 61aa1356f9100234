/** A knot where something is wrong on the cloth; pressing it brings the exercise and its sentence into view. */
import { problemInWords } from '@lemmata/contract'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { placeOfProblem, problemsOnCloth } from '@lemmata/core/mend'
import type { Sampler } from '@lemmata/core/sampler'
import { Tooltip } from 'antd'
import { useMemo } from 'react'
import { DYES } from '../look/theme.ts'
import { toScreen, type View } from './view.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly view: View
  /** The cloth's width where it is seen from behind. */
  readonly mirroredMm: number | null
  readonly onSelect: (id: string) => void
}

export function Cautions({ sampler, done, view, mirroredMm, onSelect }: Props) {
  const all = useMemo(
    () =>
      done.flatMap((one) => {
        const problems = problemsOnCloth(one, sampler, done)
        const at = problems[0] && placeOfProblem(problems[0], one, sampler, done)
        const colour = problems.some((problem) => problem.severity === 'error') ? DYES.madder : DYES.weld
        return at ? [{ one, at, colour, words: problems.map((problem) => problemInWords(problem, sampler.units)) }] : []
      }),
    [done, sampler],
  )
  return all.map(({ one, at, colour, words }) => {
    const { x, y } = toScreen(view, mirroredMm === null ? at : { x: mirroredMm - at.x, y: at.y })
    const said = `${one.exercise.name}: ${words.join(' ')}`
    return (
      <Tooltip key={one.exercise.id} title={said}>
        <g
          className="caution-knot"
          role="button"
          tabIndex={0}
          aria-label={`Caution, ${said}`}
          transform={`translate(${x} ${y})`}
          onPointerDown={(event) => event.stopPropagation()}
          onClick={() => onSelect(one.exercise.id)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return
            event.preventDefault()
            onSelect(one.exercise.id)
          }}
        >
          {/* On paper of its own, so that it is seen on any cloth and over any thread. */}
          <circle r="11" fill={DYES.paper} stroke={colour} strokeWidth="1.6" />
          <path d="M-7 3 C-4 3 -4 -3 0 -3 S4 1 1.5 2.5 S-3.5 1 -1 -1.5 S4 0 7 -3" fill="none" stroke={colour} strokeWidth="1.8" strokeLinecap="round" />
        </g>
      </Tooltip>
    )
  })
}
