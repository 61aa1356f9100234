/** The order of work as one thread: sewn close where complete, spaced stitches where still to do, a pin where one is. */
import { useEffect, useRef } from 'react'
import { NavLink, useLocation } from 'react-router'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { DYES } from '../look/theme.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import type { StageState } from './stage-states.ts'

/** Pages that belong to a stage. */
const BESIDE: Readonly<Record<string, string>> = { thread: 'kit' }

export function Stages({ stages }: { stages: readonly StageState[] }) {
  const nav = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // Where there is no room for all, the current one is in view.
  useEffect(() => {
    nav.current?.querySelector('[aria-current="page"]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  }, [pathname])
  return (
    <nav ref={nav} className="stages" aria-label="Stages of the work">
      {stages.map((stage, index) => (
        <div key={stage.id} className="stage-place">
          <NavLink to={stage.id} className="stage" title={`Alt+${index + 1}`}>
            {({ isActive }) => (
              <>
                <Sewn complete={stage.complete} here={isActive || pathname.endsWith(`/${BESIDE[stage.id] ?? ''}`)} />
                <span className="name">
                  {stage.name}
                  {stage.wrong.length > 0 && !isActive && (
                    <span className="stage-wrong">
                      <span className="visually-hidden">, </span>
                      <KnotGlyph />
                      {stage.wrong.length}
                      <span className="visually-hidden">{stage.wrong.length === 1 ? ' caution' : ' cautions'}</span>
                    </span>
                  )}
                  {stage.complete && <span className="visually-hidden">, complete</span>}
                  {isActive && <span className="visually-hidden"> (here)</span>}
                </span>
              </>
            )}
          </NavLink>
          <StateWords stage={stage} />
        </div>
      ))}
    </nav>
  )
}

/** Under the current stage: what is wrong, as a link that chooses it; pressed again, the next. */
function StateWords({ stage }: { stage: StageState }) {
  const dispatch = useAppDispatch()
  const selected = useAppSelector((state) => state.sampler.selected)
  const { wrong, words } = stage
  const next = wrong[(wrong.indexOf(selected ?? '') + 1) % Math.max(1, wrong.length)]
  if (next === undefined)
    return (
      <span className="state" title={words}>
        {words}
      </span>
    )
  return (
    <button type="button" className="state" title={words} onClick={() => dispatch(exerciseSelected(next))}>
      {words}
    </button>
  )
}

const STITCHES = 7

function Sewn({ complete, here }: { complete: boolean; here: boolean }) {
  return (
    <svg className="thread" aria-hidden="true" viewBox="0 0 100 14" preserveAspectRatio="none">
      {Array.from({ length: STITCHES }, (_, index) => {
        const from = (100 / STITCHES) * index
        return (
          <line
            key={index}
            x1={from + 1}
            x2={from + (100 / STITCHES) * (complete ? 0.88 : 0.5)}
            y1="5"
            y2="5"
            stroke={complete ? DYES.indigo : DYES.edge}
            strokeWidth={complete ? 3.6 : 2}
            vectorEffect="non-scaling-stroke"
          />
        )
      })}
      {here && <line x1="2.6" x2="9" y1="7" y2="4.6" stroke={DYES.ink} strokeWidth="1.6" vectorEffect="non-scaling-stroke" />}
    </svg>
  )
}
