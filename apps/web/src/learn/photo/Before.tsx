/** Before the picture: what to lay, and how to hold the phone. */
import { CARD_MM, DOT_MM, DOTS, ROW_MM, type RowPlan, TARGET_MM, TARGETS, WINDOW } from '@lemmata/core/photo'
import { useWords } from '../words/index.ts'

export function Before({ plan, length }: { readonly plan: RowPlan; readonly length: (mm: number) => string }) {
  const words = useWords().photo
  return (
    <>
      <CardSketch plan={plan} />
      <ol className="photo-how">
        {words.how({ row: length(ROW_MM), stitch: length(plan.stitchMm), card: length(CARD_MM.width) }).map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ol>
      <p className="quiet">{words.stays}</p>
    </>
  )
}

/** The card on a row, in the colours of hers. */
function CardSketch({ plan }: { readonly plan: RowPlan }) {
  const { width, height } = CARD_MM
  const half = ROW_MM / 2
  return (
    <svg viewBox={`${-width / 2 - 4} ${-height / 2 - 4} ${width + 8} ${height + 8}`} className="photo-card" aria-hidden="true">
      <rect x={-width / 2 - 4} y={-height / 2 - 4} width={width + 8} height={height + 8} fill={plan.clothHex} />
      <path
        d={`M ${-width / 2} ${-height / 2} h ${width} v ${height} h ${-width} Z M ${WINDOW.left} ${WINDOW.top} V ${WINDOW.bottom} H ${WINDOW.right} V ${WINDOW.top} Z`}
        fill="#fff"
        stroke="#8a7a66"
        strokeWidth="0.4"
      />
      <path
        d={`M ${-half} 0 H ${half}`}
        stroke={plan.threadHex}
        strokeWidth={Math.max(1, plan.acrossMm)}
        strokeDasharray={plan.gapMm > 0 ? '3 2.6' : undefined}
      />
      {TARGETS.map(({ x, y }, index) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={y} r={(TARGET_MM.outer + TARGET_MM.white) / 2} fill="none" stroke="#000" strokeWidth={TARGET_MM.outer - TARGET_MM.white} />
          <circle cx={x} cy={y} r={TARGET_MM.inner} />
          {index === 0 && <circle cx={x} cy={y} r={TARGET_MM.eye} fill="#fff" />}
        </g>
      ))}
      {DOTS.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={DOT_MM} />
      ))}
    </svg>
  )
}
