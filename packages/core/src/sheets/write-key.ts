/** The key of a sheet: what each letter is, and what it is worked in. */
import { spokenSize, type WorkedExercise } from '../exercise/index.ts'
import { needleIn, roleIn, stitchIn, threadIn } from '../language/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { capitalised } from '../units/index.ts'
import { type Flow, words, wrapText } from './flow.ts'
import { partOf, roleWord } from './said.ts'
import type { SheetWords } from './sheet-words.ts'

interface Keyed {
  readonly sampler: Sampler
  readonly exercises: readonly WorkedExercise[]
}

/** Shares of the width: letter, part, stitch, length, strands, thread, needle. */
const KEY_COLUMNS = [0.05, 0.19, 0.17, 0.13, 0.1, 0.2, 0.16]

/** Letter, part, stitch, strands, thread, needle: made from the assignments, so that it cannot drift from the drawing. */
export function writeKey(flow: Flow, order: Keyed, key: ReadonlyMap<string, string>, said: SheetWords): void {
  const language = order.sampler.brief.language ?? 'en'
  flow.text(said.key, { sizeMm: 5, face: 'heading' })
  flow.space(1)
  const row = (cells: readonly string[], face: 'text' | 'text-bold'): void => {
    const size = 3.2
    let x = 0
    const placed = cells.map((cell, index) => {
      const width = (KEY_COLUMNS[index] ?? 0) * flow.widthMm
      const lines = wrapText(cell, width - 2, size, face, flow.measure)
      const at = x
      x += width
      return lines.map((line, number) => words(line, { x: at, y: size + number * size * 1.3 }, size, index === 0 ? 'text-bold' : face))
    })
    const lines = Math.max(...placed.map((one) => one.length), 1)
    const height = lines * size * 1.3 + 1.6
    flow.block(height, [
      ...placed.flat(),
      {
        kind: 'stroke',
        paths: [
          [
            { x: 0, y: height - 0.6 },
            { x: flow.widthMm, y: height - 0.6 },
          ],
        ],
        widthMm: 0.12,
        colour: '#8A7A66',
      },
    ])
  }
  row(['', ...said.columns], 'text-bold')
  for (const done of order.exercises) {
    const { assigned, exercise } = done
    for (const [index, used] of done.threads.entries()) {
      const own = index === 0
      row(
        [
          own ? (key.get(exercise.id) ?? '') : '',
          own ? exercise.name : '',
          own ? stitchIn(assigned.document, language) : capitalised(roleIn(partOf(used, done), roleWord(used, done), language)),
          own ? said.size(spokenSize(done), order.sampler.units) : '',
          String(used.strands.value),
          `${threadIn(used.kind, language)}, ${used.thread.colour.name}`,
          needleIn(used.needle.value, language),
        ],
        'text',
      )
    }
  }
  flow.space(5)
}
