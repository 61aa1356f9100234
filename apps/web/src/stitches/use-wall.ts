/** The wall's pictures, a few at a time: the first are there while the last are worked. */
import type { Surroundings } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import type { Sampler } from '@lemmata/core/sampler'
import { useEffect, useMemo, useState } from 'react'
import { showTogether } from '../compute/shown-together.ts'
import { whileQuiet } from '../compute/while-quiet.ts'
import { PROGRAM } from '../compute/started.ts'
import { paintWall as askForWall } from '../compute/workers.ts'
import { keepWall, wallKept } from './kept-wall.ts'
import { wallKey } from './wall-key.ts'
import { aroundWall, stitchesOnWall, wallIdentity, type WallOf } from './wall-of.ts'
import type { WallLook, WallPicture } from './wall-picture.ts'

export interface Wall {
  readonly pictures: ReadonlyMap<string, WallPicture>
  readonly busy: boolean
  /** What the worker said when it broke. */
  readonly failed: string | null
}

/** Remembered between visits to the stage: the same stitches in the same surroundings are not painted twice. */
let remembered: (WallOf & { readonly pictures: ReadonlyMap<string, WallPicture> }) | null = null

/** The stitches of this sampler and of the teacher's own library, as the wall shows them on this sampler's cloth. */
export function useWallOf(sampler: Sampler, own: readonly StitchDocument[], side: 'front' | 'back'): WallOf {
  const { stitches, cloth, threads, brief } = sampler
  const { level, waysOfWorking, hardFor, language } = brief
  const documents = useMemo(() => stitchesOnWall(stitches, own), [stitches, own])
  const around = useMemo<Surroundings>(
    () => aroundWall({ brief: { level, waysOfWorking, hardFor, language }, cloth, threads, stitches }, own),
    [level, waysOfWorking, hardFor, language, cloth, threads, stitches, own],
  )
  const clothHex = cloth.colour.hex
  const look = useMemo<WallLook>(() => ({ side, clothHex, ratio: window.devicePixelRatio || 1 }), [side, clothHex])
  return { documents, around, look }
}

/** As long as it takes to hand over what was painted ahead, which is all that is in view at first. */
const AHEAD_MS = 120
/** What is not in view may come with the last of it: shown in between, it would be there no sooner and the last later. */
const LATER_MS = 1200

export function useWall({ documents, around, look }: WallOf): Wall {
  const [shown, setShown] = useState<Wall & { readonly of: WallLook | null }>({ of: null, pictures: new Map(), busy: true, failed: null })
  useEffect(() => {
    let dropped = false
    let pictures: ReadonlyMap<string, WallPicture> = new Map()
    const together = showTogether(() => setShown({ of: look, pictures: new Map(pictures), busy: true, failed: null }), AHEAD_MS, LATER_MS)
    const painting = paintWall({ documents, around, look }, true, (soFar) => {
      pictures = soFar
      // What was in hand when another wall was asked for still comes: into what is remembered, not onto the wall.
      if (!dropped) together.soon()
    })
    painting.ended.then(
      (whole) => {
        if (dropped) return
        together.drop()
        setShown({ of: look, pictures: whole, busy: false, failed: null })
      },
      (thrown: unknown) => {
        if (!dropped)
          setShown({
            of: look,
            pictures: new Map(pictures),
            busy: false,
            failed: thrown instanceof Error ? thrown.message : 'The library could not be worked.',
          })
      },
    )
    return () => {
      dropped = true
      together.drop()
      painting.drop()
    }
  }, [documents, around, look])
  // The front is not shown as the back while that is painted.
  return shown.of === look ? shown : NOTHING_YET
}

const NOTHING_YET: Wall = { pictures: new Map(), busy: true, failed: null }

/** While nobody does anything, so that the wall is there when one comes to it. */
export function useWallBeforehand(wanted: boolean, { documents, around, look }: WallOf): void {
  useEffect(() => {
    if (!wanted) return
    return whileQuiet(() => {
      const painting = paintWall({ documents, around, look }, false, () => undefined)
      // Nobody waits for it: where it breaks, the wall will say so.
      painting.ended.catch(() => undefined)
      return painting.drop
    })
  }, [wanted, documents, around, look])
}

interface Painting {
  /** All of it, or what there was when it was dropped. */
  readonly ended: Promise<ReadonlyMap<string, WallPicture>>
  readonly drop: () => void
}

/**
 * What is remembered is there at once. The rest is begun, and what of it the browser has kept comes meanwhile: a wall is kept whole or not at
 * all, so that nothing is left to paint then. Painted, it is kept.
 */
function paintWall(wall: WallOf, isAsked: boolean, onGroup: (soFar: ReadonlyMap<string, WallPicture>) => void): Painting {
  const { documents, around, look } = wall
  const { pictures, stale } = whatIsNew(wall)
  if (stale.length === 0) return { ended: Promise.resolve(pictures), drop: () => undefined }
  let isKept = false
  const job = askForWall(stale, around, look, isAsked, (group, painted) => {
    if (isKept) return
    group.forEach((document, index) => pictures.set(document.id, painted[index] as WallPicture))
    onGroup(pictures)
  })
  const key = wallKey(PROGRAM, ...wallIdentity(wall))
  const kept = key.then(async (address) => {
    const before = address === null ? null : await wallKept(address)
    isKept = before !== null && documents.every(({ id }) => before.has(id))
    if (!before || !isKept) return
    for (const { id } of stale) pictures.set(id, before.get(id) as WallPicture)
    onGroup(pictures)
    job.drop()
  })
  const ended = Promise.all([job.ended, key, kept]).then(([, address]) => {
    const isWhole = documents.every(({ id }) => pictures.has(id))
    if (address !== null && isWhole && !isKept) void keepWall(address, pictures)
    return pictures
  })
  return { ended, drop: job.drop }
}

/** Pictures of this wall in these surroundings, some or all. */
const isRemembered = ({ around, look }: WallOf): boolean => remembered !== null && isSame(remembered.around, around) && isSameLook(remembered.look, look)

function whatIsNew(wall: WallOf): { readonly pictures: Map<string, WallPicture>; readonly stale: readonly StitchDocument[] } {
  const pictures = new Map<string, WallPicture>()
  const before = isRemembered(wall) ? remembered : null
  const stale = wall.documents.filter((document) => {
    const known = before?.documents.includes(document) ? before.pictures.get(document.id) : undefined
    if (known) pictures.set(document.id, known)
    return !known
  })
  // Kept as it grows: whatever changes beside it, what was painted is not painted again.
  remembered = { ...wall, pictures }
  return { pictures, stale }
}

function isSameLook(a: WallLook, b: WallLook): boolean {
  return a.side === b.side && a.clothHex === b.clothHex && a.ratio === b.ratio
}

function isSame(a: Surroundings, b: Surroundings): boolean {
  return a === b || (a.cloth === b.cloth && a.threads === b.threads && isAlike(a.stitches, b.stitches) && JSON.stringify(a.brief) === JSON.stringify(b.brief))
}

function isAlike(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, index) => one === b[index])
}
