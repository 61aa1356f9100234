/** Minutes as a length: showing, working, break, one after the other, against the room there is. The figures under it say the same. */
const PARTS = ['showing', 'working', 'break'] as const

export function Bar({ parts, room }: { readonly parts: readonly [number, number, number]; readonly room: number }) {
  const total = parts[0] + parts[1] + parts[2]
  const whole = Math.max(room, total, 1)
  let from = 0
  return (
    <svg className="minutes-bar" viewBox="0 0 132 10" width="132" height="10" aria-hidden="true">
      <rect x="0.5" y="0.5" width={(room / whole) * 131} height="9" rx="2" className="bar-room" />
      {parts.map((minutes, index) => {
        const x = (from / whole) * 131
        from += minutes
        return minutes > 0 ? (
          <rect key={PARTS[index]} x={0.5 + x} y="0.5" width={(minutes / whole) * 131} height="9" className={`bar-${PARTS[index] ?? ''}`} />
        ) : null
      })}
    </svg>
  )
}
