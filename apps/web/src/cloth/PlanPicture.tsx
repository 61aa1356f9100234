/** A class's pieces as they lie on the cloth that is bought. */
import type { CutPlan } from '@lemmata/core/cutting'

/** The cloth with its selvedges, the warp upright. */
export function PlanPicture({ plan, label, numbered = false }: { readonly plan: CutPlan; readonly label: string; readonly numbered?: boolean }) {
  const { usableMm, lengthMm, widthMm, heightMm, places } = plan
  const edge = usableMm * 0.012
  return (
    <svg className="cut-plan" role="img" aria-label={label} viewBox={`${-edge} 0 ${usableMm + 2 * edge} ${lengthMm}`} preserveAspectRatio="xMidYMin meet">
      <rect x={-edge} y={0} width={usableMm + 2 * edge} height={lengthMm} className="cut-cloth" />
      <rect x={-edge} y={0} width={edge} height={lengthMm} className="cut-selvedge" />
      <rect x={usableMm} y={0} width={edge} height={lengthMm} className="cut-selvedge" />
      {places.map(({ x, y }, index) => (
        <g key={`${x} ${y}`}>
          <rect x={x} y={y} width={widthMm} height={heightMm} className="cut-piece" vectorEffect="non-scaling-stroke" />
          {numbered ? (
            <text x={x + widthMm / 2} y={y + heightMm / 2} className="cut-number" fontSize={widthMm * 0.22}>
              {index + 1}
            </text>
          ) : (
            <path d={`M ${x + widthMm / 2} ${y + heightMm * 0.62} v ${-heightMm * 0.24}`} className="cut-warp" vectorEffect="non-scaling-stroke" />
          )}
        </g>
      ))}
    </svg>
  )
}
