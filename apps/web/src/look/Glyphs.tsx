/** Our own signs: a knot for a caution, a broken thread for an error, a slope for difficulty. */
import { DYES } from './theme.ts'

/** `aside`: the caution was read and left as it is: a knot in outline. */
export function KnotGlyph({ title, aside = false }: { title?: string; aside?: boolean }) {
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" role={title ? 'img' : undefined} aria-label={title} aria-hidden={title ? undefined : true}>
      <path
        d="M1 11 C4 11 4 5 8 5 S12 9 9.5 10.5 S4.5 9 7 6.5 S12 8 15 5"
        fill="none"
        stroke={aside ? DYES.walnut : DYES.weld}
        strokeWidth={aside ? 3.2 : 1.8}
        strokeLinecap="round"
      />
      {aside && <path d="M1 11 C4 11 4 5 8 5 S12 9 9.5 10.5 S4.5 9 7 6.5 S12 8 15 5" fill="none" stroke={DYES.paper} strokeWidth="1.6" strokeLinecap="round" />}
    </svg>
  )
}

export function BrokenThreadGlyph({ title }: { title?: string }) {
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" role={title ? 'img' : undefined} aria-label={title} aria-hidden={title ? undefined : true}>
      <path
        d="M1 9 C3 6 4 11 6 8 M6 8 L7.2 5.2 M6 8 L7.6 9.8 M10 8 C12 5 13 10 15 7 M10 8 L8.8 10.8 M10 8 L8.6 6"
        fill="none"
        stroke={DYES.madder}
        strokeWidth="1.7"
        strokeLinecap="round"
      />
    </svg>
  )
}

/** A small line at the angle of the difficulty: 0 lies flat, 100 stands at 60 degrees. Bare, the figure is for a screen reader only. */
export function Slope({ score, bare = false }: { score: number; bare?: boolean }) {
  const angle = (Math.min(100, Math.max(0, score)) / 100) * (Math.PI / 3)
  const figure = Math.round(score)
  return (
    <span className="slope" title={bare ? `difficulty ${figure}` : undefined}>
      <svg width="24" height="18" viewBox="0 0 30 22" aria-hidden="true">
        <path d="M2 20 H28" stroke={DYES.edge} strokeWidth="1.4" />
        <path d={`M2 20 L${2 + 24 * Math.cos(angle)} ${20 - 24 * Math.sin(angle)}`} stroke={DYES.ink} strokeWidth="2.2" strokeLinecap="round" />
      </svg>
      <span className={bare ? 'visually-hidden' : 'quiet'}>
        <span className="visually-hidden">difficulty </span>
        {figure}
      </span>
    </span>
  )
}

export function UndoGlyph() {
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
      <path d="M6 3 L2.5 6.5 L6 10 M2.5 6.5 H9.5 A3.8 3.8 0 0 1 9.5 14 H7" fill="none" stroke="currentColor" strokeWidth="1.7" strokeLinecap="round" />
    </svg>
  )
}

export function RedoGlyph() {
  return (
    <span style={{ display: 'inline-flex', transform: 'scaleX(-1)' }}>
      <UndoGlyph />
    </span>
  )
}
