/** Between two rows: the second rises too far above the first. For the hand that points; the card of the second says it to everyone. */
export function GapRow({ rise, limit, onFill }: { rise: number; limit: number; onFill: () => void }) {
  return (
    <div className="gap-row" aria-hidden="true" onClick={onFill}>
      <svg width="24" height="12" viewBox="0 0 24 12">
        <path d="M2 11 L22 2" stroke="currentColor" strokeWidth="2" strokeDasharray="5 4" strokeLinecap="round" />
      </svg>
      <span>
        rise {Math.round(rise)}, at most {Math.round(limit)}
      </span>
      <b>Fill</b>
    </div>
  )
}
