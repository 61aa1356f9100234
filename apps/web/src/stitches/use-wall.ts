/** The wall's pictures, a few at a time: the first are there while the last are worked. */
import type { Surroundings } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import type { Sampler } from '@lemmata/core/sampler'
import { allStitches } from '@lemmata/core/stitches'
import { useEffect, useMemo, useState } from 'react'
import type { Job } from '../compute/crew.ts'
import { showTogether } from '../compute/shown-together.ts'
import { whileQuiet } from '../compute/while-quiet.ts'
import { paintWall } from '../compute/workers.ts'
import type { WallLook, WallPicture } from './wall-picture.ts'

/** One object each, as long as nothing of it changes. */
export interface WallOf {
  readonly documents: readonly StitchDocument[]
  readonly around: Surroundings
  readonly look: WallLook
}

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
  const documents = useMemo(() => allStitches([...stitches, ...own.filter((one) => !stitches.some((other) => other.id === one.id))]), [stitches, own])
  const around = useMemo<Surroundings>(
    () => ({ brief: { level, waysOfWorking, hardFor, language }, cloth, threads, stitches: [...stitches, ...own] }),
    [level, waysOfWorking, hardFor, language, cloth, threads, stitches, own],
  )
  const clothHex = cloth.colour.hex
  const look = useMemo<WallLook>(() => ({ side, clothHex, ratio: window.devicePixelRatio || 1 }), [side, clothHex])
  return { documents, around, look }
}

export function useWall({ documents, around, look }: WallOf): Wall {
  const [shown, setShown] = useState<Wall & { readonly of: WallLook | null }>({ of: null, pictures: new Map(), busy: true, failed: null })
  useEffect(() => {
    let dropped = false
    const together = showTogether(() => setShown({ of: look, pictures: new Map(pictures), busy: true, failed: null }))
    const { pictures, job } = paintWhatIsNew({ documents, around, look }, true, () => {
      // What was in hand when another wall was asked for still comes: into what is remembered, not onto the wall.
      if (!dropped) together.soon()
    })
    job.ended.then(
      () => {
        if (dropped) return
        together.drop()
        setShown({ of: look, pictures, busy: false, failed: null })
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
      job.drop()
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
      const { job } = paintWhatIsNew({ documents, around, look }, false, () => undefined)
      // Nobody waits for it: where it breaks, the wall will say so.
      job.ended.catch(() => undefined)
      return job.drop
    })
  }, [wanted, documents, around, look])
}

function paintWhatIsNew(
  { documents, around, look }: WallOf,
  isAsked: boolean,
  onGroup: () => void,
): { readonly pictures: Map<string, WallPicture>; readonly job: Job } {
  const pictures = new Map<string, WallPicture>()
  const before = remembered
  const stale = documents.filter((document) => {
    const isKnown = before && isSame(before.around, around) && isSameLook(before.look, look) && before.documents.includes(document)
    const known = isKnown ? before.pictures.get(document.id) : undefined
    if (known) pictures.set(document.id, known)
    return !known
  })
  // Kept as it grows: whatever changes beside it, what was painted is not painted again.
  remembered = { documents, around, look, pictures }
  const job = paintWall(stale, around, look, isAsked, (group, painted) => {
    group.forEach((document, index) => pictures.set(document.id, painted[index] as WallPicture))
    onGroup()
  })
  return { pictures, job }
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
