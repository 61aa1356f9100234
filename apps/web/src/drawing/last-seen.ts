/**
 * The cloth as it was last seen, shown where it lay while the page that draws it is still on its way: kept by the browser
 * for the account that saw it, and forgotten when that signs out.
 */
import type { SessionAnswer } from '@lemmata/contract'
import { keepIn, openStore } from '../keep/browser-store.ts'

const STORE = 'lemmata-last-seen'
const PLACE = 'x-place'
/** Those of a term's samplers; a picture is about 100 kB. */
const MOST_KEPT = 24
/** A page that breaks on the way leaves no picture that nobody can touch. */
const LONGEST_MS = 20_000

interface Box {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** Where it lay, and in which window: in another it would lie elsewhere. */
const placeIn = ({ left, top, width, height }: Box): readonly number[] => [left, top, width, height, innerWidth, innerHeight].map(Math.round)

const addressOf = (teacher: string, sampler: string): string => `/last-seen/${encodeURIComponent(teacher)}/${encodeURIComponent(sampler)}`

export async function keepLastSeen(teacher: string, sampler: string, picture: Blob, box: Box): Promise<void> {
  await keepIn(STORE, addressOf(teacher, sampler), new Response(picture, { headers: { [PLACE]: placeIn(box).join(' ') } }), MOST_KEPT)
}

export async function forgetLastSeen(): Promise<void> {
  drop()
  if (typeof caches !== 'undefined') await caches.delete(STORE).catch(() => undefined)
}

let shown: HTMLImageElement | null = null
/** The cloth was there before its picture. */
let isLate = false

/** Before anything else of the page runs; whose picture it is the server must say. */
export async function showLastSeen(path: string): Promise<void> {
  const id = /^\/samplers\/([\w-]{1,64})\/cloth$/.exec(path)?.[1]
  const store = id === undefined ? null : await openStore(STORE)
  if (!store || id === undefined) return
  const answer = await fetch('/api/session').catch(() => null)
  const teacher = answer?.ok ? ((await answer.json()) as SessionAnswer).teacher : null
  const kept = teacher && (await store.match(addressOf(teacher.id, id)))
  const place = kept?.headers.get(PLACE)?.split(' ').map(Number)
  if (!kept || place?.[4] !== innerWidth || place[5] !== innerHeight) return
  const picture = await kept.blob()
  if (isLate) return
  const [left = 0, top = 0, width = 0, height = 0] = place
  shown = document.createElement('img')
  shown.className = 'last-seen'
  shown.alt = ''
  shown.src = URL.createObjectURL(picture)
  Object.assign(shown.style, { left: `${left}px`, top: `${top}px`, width: `${width}px`, height: `${height}px` })
  document.body.append(shown)
  setTimeout(drop, LONGEST_MS)
}

/** The cloth itself is there, or will not be. */
export function lastSeenOver(): void {
  isLate = true
  drop()
}

function drop(): void {
  if (!shown) return
  URL.revokeObjectURL(shown.src)
  shown.remove()
  shown = null
}
