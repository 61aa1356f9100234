/** The wall in its families. One Tab stop; arrows go from swatch to swatch, letters find one by its name, T teaches it. */
import type { StitchDocument } from '@lemmata/core/notation'
import { type KeyboardEvent, type ReactNode, useRef, useState } from 'react'
import type { Family } from './families.ts'

interface GridProps {
  readonly families: readonly Family[]
  readonly chosen: string | null
  readonly onTeach: (document: StitchDocument) => void
  readonly children: (document: StitchDocument, isStop: boolean) => ReactNode
}

export function WallGrid({ families, chosen, onTeach, children }: GridProps) {
  const grid = useRef<HTMLDivElement>(null)
  const [stop, setStop] = useState<string | null>(null)
  const typed = useRef({ text: '', at: 0 })
  const all = families.flatMap((family) => family.documents)
  const here = all.some((one) => one.id === stop) ? stop : (all.find((one) => one.id === chosen) ?? all[0])?.id
  const go = (element: HTMLElement | undefined): void => {
    if (!element) return
    setStop(element.dataset.stitch ?? null)
    element.focus()
  }
  const onKey = (event: KeyboardEvent): void => {
    if (!(event.target instanceof HTMLElement) || event.target.dataset.stitch === undefined) return
    const tiles = [...(grid.current?.querySelectorAll<HTMLElement>('[data-stitch]') ?? [])]
    const at = tiles.indexOf(event.target)
    if (event.key === 'ArrowRight') go(tiles[at + 1])
    else if (event.key === 'ArrowLeft') go(tiles[at - 1])
    else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') go(beyond(tiles, event.target, event.key === 'ArrowDown' ? 1 : -1))
    else if (event.key === 'Home') go(tiles[0])
    else if (event.key === 'End') go(tiles.at(-1))
    else if (event.key === 'T' || (event.key === 't' && chosen === event.target.dataset.stitch)) {
      const document = all.find((one) => one.id === (event.target as HTMLElement).dataset.stitch)
      if (document) onTeach(document)
    } else if (/^[a-z]$/i.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey) {
      typed.current = { text: (event.timeStamp - typed.current.at < 900 ? typed.current.text : '') + event.key.toLowerCase(), at: event.timeStamp }
      const named = all.find((one) => one.name.toLowerCase().startsWith(typed.current.text))
      go(tiles.find((tile) => tile.dataset.stitch === named?.id))
    } else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div ref={grid} onKeyDown={onKey} onClick={(event) => setStop((event.target as HTMLElement).closest<HTMLElement>('[data-stitch]')?.dataset.stitch ?? stop)}>
      {families.map((family) => (
        <section key={family.name} aria-label={family.name}>
          <h2 className="family-heading" id={`family-${family.name}`}>
            {family.name}
            <span>{family.documents.length === 1 ? '1 stitch' : `${family.documents.length} stitches`}</span>
          </h2>
          <div className="wall">{family.documents.map((document) => children(document, document.id === here))}</div>
        </section>
      ))}
    </div>
  )
}

/** The tile nearest above or below. */
function beyond(tiles: readonly HTMLElement[], from: HTMLElement, by: 1 | -1): HTMLElement | undefined {
  const own = from.getBoundingClientRect()
  const middle = own.left + own.width / 2
  let best: HTMLElement | undefined
  let least = Number.POSITIVE_INFINITY
  for (const tile of tiles) {
    const box = tile.getBoundingClientRect()
    const down = (box.top - own.top) * by
    if (down < own.height / 2) continue
    const away = down * 4 + Math.abs(box.left + box.width / 2 - middle)
    if (away < least) {
      least = away
      best = tile
    }
  }
  return best
}
