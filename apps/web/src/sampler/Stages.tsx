/** The order of work as one thread: sewn where complete, spaced stitches where still to do, a knot where something is wrong. */
import { NavLink } from 'react-router'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { DYES } from '../look/theme.ts'
import type { StageState } from './stage-states.ts'

export function Stages({ stages }: { stages: readonly StageState[] }) {
  return (
    <nav className="stages" aria-label="Stages of the work">
      {stages.map((stage, index) => (
        <NavLink key={stage.id} to={stage.id} className="stage" title={`Alt+${index + 1}`}>
          {({ isActive }) => (
            <>
              <svg className="thread" aria-hidden="true" preserveAspectRatio="none" viewBox="0 0 100 15">
                <line
                  x1="0"
                  x2="100"
                  y1="8"
                  y2="8"
                  stroke={stage.complete ? DYES.indigo : DYES.edge}
                  strokeWidth={stage.complete ? 3 : 2}
                  strokeDasharray={stage.complete ? undefined : '5 4'}
                  vectorEffect="non-scaling-stroke"
                />
                {isActive && (
                  <line
                    x1="4"
                    x2="96"
                    y1="8"
                    y2="8"
                    stroke={DYES.weldFill}
                    strokeWidth="7"
                    strokeLinecap="round"
                    vectorEffect="non-scaling-stroke"
                    opacity="0.75"
                  />
                )}
              </svg>
              <span className="name">
                {stage.name}
                {stage.wrong > 0 && (
                  <>
                    <KnotGlyph />
                    <span className="caution" style={{ fontSize: 13 }}>
                      {stage.wrong}
                    </span>
                  </>
                )}
                {isActive && <span className="visually-hidden">(here)</span>}
              </span>
              <span className={stage.wrong > 0 ? 'state caution' : 'state'}>
                {stage.complete && <span className="visually-hidden">complete: </span>}
                {stage.words}
              </span>
            </>
          )}
        </NavLink>
      ))}
    </nav>
  )
}
