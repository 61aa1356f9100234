/**
 * A wall that is painted before anybody asks for it. A page that is loaded at the wall asks only when it is all there itself; until then
 * a worker has nothing to do, though the address alone tells what it will be asked for.
 */
import type { Surroundings } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import type { Sampler } from '@lemmata/core/sampler'
import { isWallKept, wallKey } from '../stitches/wall-key.ts'
import { aroundWall, stitchesOnWall, wallIdentity, type WallOf } from '../stitches/wall-of.ts'
import type { PaintedTile } from '../stitches/wall-picture.ts'

type Paint = (document: StitchDocument, around: Surroundings, look: WallOf['look']) => Promise<PaintedTile>

export interface WallAhead {
  /** Those of these stitches that were painted on this wall: they are given away. Nothing further is painted ahead. */
  readonly take: (ids: readonly string[], around: Surroundings, look: WallOf['look']) => ReadonlyMap<string, PaintedTile>
  /** Something else is asked for: what was painted is let go. */
  readonly stop: () => void
}

/** `beganBy`: the name of the worker. Null where the page shows something else. */
export function wallAhead(beganBy: string, program: string | null, paint: Paint): WallAhead | null {
  const [, ratio, sampler] = /^([\d.]+) \/samplers\/([\w-]+)\/stitches\/?$/.exec(beganBy) ?? []
  return sampler === undefined ? null : paintAhead(() => wallOfSampler(sampler, Number(ratio), program), paint)
}

/** `find` tells null where there is nothing to paint; where it breaks, or the painting, the wall is painted when it is asked for. */
export function paintAhead(find: () => Promise<WallOf | null>, paint: Paint): WallAhead {
  const painted = new Map<string, PaintedTile>()
  let wall: WallOf | null = null
  let stopped = false
  void (async () => {
    wall = await find()
    for (const document of wall?.documents ?? []) {
      if (stopped || !wall) return
      const tile = await paint(document, wall.around, wall.look)
      if (!stopped) painted.set(document.id, tile)
      await untilHeard()
    }
  })().catch(() => undefined)
  return {
    stop: () => {
      stopped = true
      painted.clear()
    },
    take: (ids, around, look) => {
      stopped = true
      if (!wall || JSON.stringify([wall.around, wall.look]) !== JSON.stringify([around, look])) painted.clear()
      const given = new Map<string, PaintedTile>()
      for (const id of ids) {
        const tile = painted.get(id)
        if (tile) given.set(id, tile)
        painted.delete(id)
      }
      return given
    },
  }
}

/** What was said to this worker meanwhile is heard first. A timer would wait 4 ms each time. */
function untilHeard(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })
}

async function wallOfSampler(id: string, ratio: number, program: string | null): Promise<WallOf | null> {
  const [answer, own] = await Promise.all([read<{ document: Sampler }>(`/api/samplers/${id}`), read<readonly StitchDocument[]>('/api/stitches')])
  if (!answer || !own) return null
  const { document: sampler } = answer
  const wall: WallOf = {
    documents: stitchesOnWall(sampler.stitches, own),
    around: aroundWall(sampler, own),
    look: { side: 'front', clothHex: sampler.cloth.colour.hex, ratio },
  }
  const key = await wallKey(program, ...wallIdentity(wall))
  return key !== null && (await isWallKept(key)) ? null : wall
}

async function read<Answer>(address: string): Promise<Answer | null> {
  const response = await fetch(address)
  return response.ok ? ((await response.json()) as Answer) : null
}
