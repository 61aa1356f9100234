/** A stitch worked on a short piece of its practice guide, as a swatch of the wall shows it. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import { type Guide, practiceFor, type PracticeGuide, practiceGuide, shortenedPractice } from '@lemmata/core/guide'
import { MAIN_ROLE, type StitchDocument } from '@lemmata/core/notation'
import { LIBRARY } from '@lemmata/core/stitches'
import { type Exercise, layAlone } from '@lemmata/core/sampler'

const practiceOf = (document: StitchDocument): PracticeGuide => shortenedPractice(document.practice ?? practiceFor(document))

export function swatchGuide(document: StitchDocument): Guide {
  return practiceGuide(practiceOf(document), 40, 20, 60)
}

/** Of what goes on to both sides a tile of the wall shows no more, mm. */
const WALL_MM = 30
/** A form that stands by itself has room in the narrowest tile at the wall's scale, with the thread that lies over its edge, mm. */
const STANDING = { widthMm: 21, heightMm: 6.5 } as const

function wallGuide(document: StitchDocument): Guide {
  const practice = practiceOf(document)
  if (practice.kind === 'shape' && !isPieceOfMore(document)) {
    const [widthMm, heightMm] = [Math.min(practice.widthMm, STANDING.widthMm), Math.min(practice.heightMm, STANDING.heightMm)]
    return practiceGuide({ ...practice, widthMm, heightMm }, 40, 20, 60)
  }
  return practiceGuide(practice, 40, 20, practice.kind === 'line' || practice.kind === 'band' ? WALL_MM : 60)
}

/**
 * Whether its swatch is a piece of something that goes on to every side, as a line does to two: counted squares, a rectangle of a fill, and
 * rows that lie end to end, which are known by where they meet.
 */
export function isPieceOfMore(document: StitchDocument): boolean {
  const practice = practiceOf(document)
  if (practice.kind !== 'shape') return practice.kind === 'grid'
  return practice.outline === 'rectangle' || document.passes.some(({ place }) => 'across' in place && place.across.cuts !== undefined)
}

export function workSwatch(
  document: StitchDocument,
  around: Surroundings,
  more: Partial<Omit<Exercise, 'on'>> = {},
  guide = swatchGuide(document),
): Result<WorkedExercise> {
  return workExercise(layAlone({ id: `try-${document.id}`, name: document.name, stitch: document.id, ...more }, guide), around)
}

/** One colour a family, so that the wall is read in regions: of the threads of the first one's kind, so that widths can be compared. */
export function workForWall(document: StitchDocument, around: Surroundings): Result<WorkedExercise> {
  const [first] = around.threads
  const alike = around.threads.filter((one) => one.kind === first?.kind && one.weight === first.weight)
  const thread = alike[Math.max(0, FAMILIES.indexOf(document.family ?? '')) % Math.max(1, alike.length)]
  return workSwatch(document, around, thread ? { materials: { [MAIN_ROLE]: { thread: thread.id } } } : {}, wallGuide(document))
}

const FAMILIES: readonly string[] = [...new Set(LIBRARY.flatMap((one) => one.family ?? []))]

export interface TryGuide {
  readonly name: string
  readonly guide: Guide
}

/** The guides on which a stitch is tried: the kinds that it claims, straight, bent and cornered. */
export function tryGuides(document: StitchDocument): readonly TryGuide[] {
  const lines = ['M 12 20 L 68 20', 'M 12 24 C 28 6 44 38 68 16', 'M 12 26 L 34 12 L 50 28 L 68 14']
  const names = ['Straight', 'Curved', 'Cornered']
  if (document.guide.includes('line')) return lines.map((path, index) => ({ name: names[index] as string, guide: { kind: 'line', path } }))
  if (document.guide.includes('band')) {
    const widthMm = document.practice?.kind === 'band' ? document.practice.widthMm : 6
    return lines.slice(0, 2).map((path, index) => ({ name: names[index] as string, guide: { kind: 'band', path, widthMm } }))
  }
  if (document.guide.includes('shape'))
    return [
      { name: 'Oval', guide: { kind: 'shape', path: 'M 22 20 A 18 8 0 0 1 58 20 A 18 8 0 0 1 22 20 Z' } },
      { name: 'Square', guide: { kind: 'shape', path: 'M 28 10 L 52 10 L 52 30 L 28 30 Z' } },
      {
        name: 'Turning',
        guide: {
          kind: 'shape',
          path: 'M 18 30 A 24 24 0 0 1 62 30 L 51 30 A 13 13 0 0 0 29 30 Z',
          directions: ['M 18 30 L 29 30', 'M 40 7 L 40 18', 'M 62 30 L 51 30'],
        },
      },
      {
        name: 'With a hole',
        guide: { kind: 'shape', path: 'M 20 20 A 20 12 0 0 1 60 20 A 20 12 0 0 1 20 20 Z', holes: ['M 36 20 A 4 4 0 0 1 44 20 A 4 4 0 0 1 36 20 Z'] },
      },
    ]
  return [{ name: 'Practice', guide: swatchGuide(document) }]
}
