/**
 * A whole wall as it was painted, kept by the browser as one file, of which those that it was painted in are pieces: shown again it is
 * read at once, and no pixel of it is copied.
 */
import type { Result } from '@lemmata/core/base'
import { z } from 'zod'
import { keepIn, openStore } from '../keep/browser-store.ts'
import { WALL_STORE } from './wall-key.ts'
import { PICTURE_TYPE, type WallFacts, type WallPicture } from './wall-picture.ts'

/** A wall is 8 MB at one device pixel a CSS pixel, 32 at two: front and back of two cloths. */
const MOST_KEPT = 4
/** Before the head: how long it is. */
const LENGTH_BYTES = 4

const natural = z.number().int().nonnegative()
const tile = z.object({
  id: z.string(),
  facts: z.custom<Result<WallFacts>>((facts) => !!facts),
  picture: z.object({ file: natural, top: z.number(), ratio: z.number() }).nullable(),
})
/** How long each file is, and where in them each tile is found. */
const head = z.object({ files: z.array(natural), tiles: z.array(tile) })

/** Nothing where it was not kept, or not whole. */
export async function wallKept(key: string): Promise<ReadonlyMap<string, WallPicture>> {
  try {
    const file = await (await (await openStore(WALL_STORE))?.match(key))?.blob()
    if (!file) return new Map()
    const length = new DataView(await file.slice(0, LENGTH_BYTES).arrayBuffer()).getUint32(0)
    let from = LENGTH_BYTES + length
    const { files, tiles } = head.parse(JSON.parse(await file.slice(LENGTH_BYTES, from).text()))
    const pieces = files.map((bytes) => {
      const piece = file.slice(from, from + bytes, PICTURE_TYPE)
      from += bytes
      return piece
    })
    const pictures = tiles.map(({ id, facts, picture }): [string, WallPicture] => {
      if (!picture) return [id, { facts, picture }]
      const piece = pieces[picture.file]
      if (!piece) throw new Error('no such piece')
      return [id, { facts, picture: { ...picture, file: piece } }]
    })
    return from === file.size ? new Map(pictures) : new Map()
  } catch {
    return new Map()
  }
}

export async function keepWall(key: string, pictures: ReadonlyMap<string, WallPicture>): Promise<void> {
  const pieces = [...new Set([...pictures.values()].flatMap(({ picture }) => picture?.file ?? []))]
  const tiles = [...pictures].map(([id, { facts, picture }]) => ({ id, facts, picture: picture && { ...picture, file: pieces.indexOf(picture.file) } }))
  const words = new TextEncoder().encode(JSON.stringify({ files: pieces.map(({ size }) => size), tiles } satisfies z.input<typeof head>))
  const length = new DataView(new ArrayBuffer(LENGTH_BYTES))
  length.setUint32(0, words.byteLength)
  const file = new Blob([length.buffer, words, ...pieces])
  await keepIn(WALL_STORE, key, new Response(file), MOST_KEPT)
}
