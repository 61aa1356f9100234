/**
 * A whole wall as it was painted, kept by the browser as one file from which each tile takes its piece: shown again it is read at
 * once, and no pixel of it is copied.
 */
import type { Result } from '@lemmata/core/base'
import { z } from 'zod'
import { digestOf } from '../compute/digest-of.ts'
import { keepIn, openStore } from '../drawing/browser-store.ts'
import { PICTURE_TYPE, type WallFacts, type WallPicture } from './wall-picture.ts'

const STORE = 'lemmata-wall'
/** A wall is 8 MB at one device pixel a CSS pixel, 32 at two: front and back of two cloths. */
const MOST_KEPT = 4
/** Before the head: how long it is. */
const LENGTH_BYTES = 4

const head = z.array(z.object({ id: z.string(), bytes: z.number().int().nonnegative().nullable(), facts: z.custom<Result<WallFacts>>((facts) => !!facts) }))

/** Under which a wall is kept: another program may work it otherwise. Null: nothing is kept here. */
export async function wallKey(program: string | null, ...from: readonly unknown[]): Promise<string | null> {
  const digest = program === null ? null : await digestOf(program, ...from)
  return digest && `/wall/${digest}`
}

/** Nothing where it was not kept, or not whole. */
export async function wallKept(key: string): Promise<ReadonlyMap<string, WallPicture>> {
  try {
    const file = await (await (await openStore(STORE))?.match(key))?.blob()
    if (!file) return new Map()
    const length = new DataView(await file.slice(0, LENGTH_BYTES).arrayBuffer()).getUint32(0)
    let from = LENGTH_BYTES + length
    const tiles = head.parse(JSON.parse(await file.slice(LENGTH_BYTES, from).text()))
    const pictures = tiles.map(({ id, bytes, facts }): [string, WallPicture] => {
      const picture = bytes === null ? null : file.slice(from, from + bytes, PICTURE_TYPE)
      from += bytes ?? 0
      return [id, { facts, picture }]
    })
    return from === file.size ? new Map(pictures) : new Map()
  } catch {
    return new Map()
  }
}

export async function keepWall(key: string, pictures: ReadonlyMap<string, WallPicture>): Promise<void> {
  const tiles = [...pictures].map(([id, { facts, picture }]) => ({ id, facts, bytes: picture && picture.size }))
  const words = new TextEncoder().encode(JSON.stringify(tiles))
  const length = new DataView(new ArrayBuffer(LENGTH_BYTES))
  length.setUint32(0, words.byteLength)
  const file = new Blob([length.buffer, words, ...[...pictures.values()].flatMap(({ picture }) => picture ?? [])])
  await keepIn(STORE, key, new Response(file), MOST_KEPT)
}
