/**
 * `lemmata gallery --out FOLDER`: every stitch and every version of it as a page to be looked at, for the right hand and for the
 * left: the result front and back at true size and at four times, then each picture of its steps with its sentence; with `--moving`
 * the hand beside it, as a picture that moves.
 */
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { surroundingsOf } from '@lemmata/core/assign'
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import {
  type Drawing,
  type DrawingItem,
  drawStep,
  drawThread,
  lookOf,
  MOVING_CAPTION,
  moveItems,
  scaleItems,
  writeMovingSvg,
  writeSvg,
} from '@lemmata/core/drawing'
import { roleThreads, type WorkedExercise, workExercise } from '@lemmata/core/exercise'
import { practiceFor, practiceGuide, type PracticeGuide, shortenedPractice } from '@lemmata/core/guide'
import { type Language, LANGUAGES, stitchIn } from '@lemmata/core/language'
import type { StitchDocument } from '@lemmata/core/notation'
import { layAlone, newSampler } from '@lemmata/core/sampler'
import { wrapText } from '@lemmata/core/sheets'
import { demonstrate, type Hand, stepSentence } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import { makeMeasure } from '@lemmata/print'
import type { Answer } from './command.ts'

const PAGE_MM = 300
const MARGIN_MM = 8
const FRAME = { widthMm: 66, heightMm: 44, gapMm: 6, perRow: 4 }
const CLOTH = '#F1EADB'
const INK = '#1F2A37'
const QUIET = '#5B4B3A'
const HANDS: readonly Hand[] = ['right', 'left']
/** What of a stitch the result shows, mm. */
const RESULT = { widthMm: 34, heightMm: 15 }

export function gallery(_: unknown, options: Readonly<Record<string, string>>): Result<Answer> {
  const folder = options.out
  if (folder === undefined) return failure(error('cli.no-folder', []))
  const chosen = options.stitch === undefined ? LIBRARY : LIBRARY.filter((one) => one.id === options.stitch)
  if (chosen.length === 0) return failure(error('cli.no-stitch', [], { stitch: options.stitch ?? '' }))
  const language = LANGUAGES.find(({ id }) => id === (options.language ?? 'en'))?.id
  if (!language) return failure(error('cli.no-language', [], { language: options.language ?? '', known: LANGUAGES.map(({ id }) => id) }))
  mkdirSync(folder, { recursive: true })
  const problems: Problem[] = []
  const pages: string[] = []
  for (const document of chosen)
    for (const variant of [undefined, ...Object.keys(document.variants ?? {})]) {
      const done = tryOut(document, variant, language)
      if (!done.ok) {
        problems.push(...done.problems)
        continue
      }
      for (const hand of HANDS) {
        const drawing = pageOf(done.value, hand, CLOTH)
        if (!drawing.ok) {
          problems.push(...drawing.problems)
          continue
        }
        const name = `${document.id}${variant === undefined ? '' : `--${variant}`}${hand === 'left' ? '-left' : ''}`
        writeFileSync(join(folder, `${name}.svg`), writeSvg(drawing.value))
        pages.push(name)
        if (options.moving !== undefined) writeFileSync(join(folder, `${name}-moving.svg`), movingOf(done.value, hand, CLOTH))
      }
    }
  writeFileSync(join(folder, 'index.html'), indexOf(pages))
  return success({ output: `${pages.length} pages in ${folder}\n`, wrong: problems.length > 0 }, problems)
}

function tryOut(document: StitchDocument, variant: string | undefined, language: Language): Result<WorkedExercise> {
  const practice = shortenedPractice(practiceOf(document, variant))
  const guide = practiceGuide(practice, 0, 0, practice.kind === 'line' || practice.kind === 'band' ? RESULT.widthMm - 4 : 60)
  const exercise = { id: 'shown', name: document.name, stitch: document.id, ...(variant === undefined ? {} : { variant }) }
  const around = surroundingsOf(newSampler('Gallery'))
  return workExercise(layAlone(exercise, guide), { ...around, brief: { ...around.brief, language }, stitches: [document] })
}

/** A version may be for another kind of guide. */
function practiceOf(document: StitchDocument, variant: string | undefined): PracticeGuide {
  const version = variant === undefined ? undefined : document.variants?.[variant]
  if (version?.practice) return version.practice
  const kinds = version?.guide ?? (version?.when?.guide === undefined ? undefined : [version.when.guide])
  const usual = document.practice ?? practiceFor(document)
  return kinds === undefined || kinds.includes(usual.kind) ? usual : practiceFor({ ...document, guide: kinds })
}

function pageOf(done: WorkedExercise, hand: Hand, cloth: string): Result<Drawing> {
  const { assigned } = done
  const { document } = assigned
  const shown = demonstrate({ document, parameters: assigned.parameters, materials: assigned.materials, threads: roleThreads(assigned), hand })
  if (!shown.ok) return shown
  const measure = makeMeasure()
  const words = (text: string, x: number, y: number, sizeMm: number, face: 'text' | 'text-bold' | 'heading' = 'text', colour = INK): DrawingItem => ({
    kind: 'words',
    text,
    at: { x, y },
    sizeMm,
    face,
    colour,
  })
  const version = assigned.variant ? `, ${document.variants?.[assigned.variant]?.name ?? assigned.variant}` : ''
  const items: DrawingItem[] = [
    words(`${stitchIn(document, assigned.language)}${version}`, MARGIN_MM, 14, 8, 'heading'),
    words(`${document.id}. ${hand === 'right' ? 'Right' : 'Left'} hand. ${shown.value.steps.length} pictures.`, MARGIN_MM, 20, 4, 'text', QUIET),
    ...results(done, cloth),
  ]
  let y = 24 + 4 * RESULT.heightMm + 8
  const { steps } = shown.value
  for (let from = 0; from < steps.length; from += FRAME.perRow) {
    const row = steps.slice(from, from + FRAME.perRow)
    const captions = row.map((step) => wrapText(stepSentence(step, assigned), FRAME.widthMm - 6, 3.4, 'text', measure))
    for (const [index, step] of row.entries()) {
      const x = MARGIN_MM + index * (FRAME.widthMm + FRAME.gapMm)
      const drawn = drawStep({ demonstration: shown.value, step, look: lookOf(assigned), ...FRAME, detail: 'full', cloth, numberMm: 3.4 })
      items.push(...moveItems(drawn.items, { x, y }))
      items.push(words(String(step.number), x, y + FRAME.heightMm + 5, 4.2, 'heading'))
      for (const [line, text] of (captions[index] ?? []).entries()) items.push(words(text, x + 6, y + FRAME.heightMm + 5 + line * 4.4, 3.4))
    }
    y += FRAME.heightMm + 8 + Math.max(...captions.map((lines) => lines.length)) * 4.4
  }
  return success({
    left: 0,
    top: 0,
    widthMm: PAGE_MM,
    heightMm: y + 4,
    layers: [{ name: 'page', items: [ground(0, 0, PAGE_MM, y + 4, '#FBF8F1'), ...items] }],
  })
}

/** The steps as one picture that moves. */
function movingOf(done: WorkedExercise, hand: Hand, cloth: string): string {
  const { assigned } = done
  const shown = demonstrate({
    document: assigned.document,
    parameters: assigned.parameters,
    materials: assigned.materials,
    threads: roleThreads(assigned),
    hand,
  })
  if (!shown.ok) return ''
  const measure = makeMeasure()
  return writeMovingSvg({
    demonstration: shown.value,
    look: lookOf(assigned),
    cloth,
    title: stitchIn(assigned.document, assigned.language),
    captions: shown.value.steps.map((step) => wrapText(stepSentence(step, assigned), MOVING_CAPTION.widthMm, MOVING_CAPTION.sizeMm, 'text', measure)),
  })
}

/** Front and back, four times as large and true. */
function results(done: WorkedExercise, cloth: string): readonly DrawingItem[] {
  const segments = done.pieces.flatMap((piece) => piece.worked.segments)
  const xs = segments.flatMap((segment) => segment.points.map((at) => at.x))
  const ys = segments.flatMap((segment) => segment.points.map((at) => at.y))
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
  const within = {
    left: middle.x - RESULT.widthMm / 2,
    right: middle.x + RESULT.widthMm / 2,
    top: middle.y - RESULT.heightMm / 2,
    bottom: middle.y + RESULT.heightMm / 2,
  }
  const patches = done.pieces.flatMap((piece) => piece.worked.patches)
  return (['front', 'back'] as const).flatMap((side, index) => {
    const left = MARGIN_MM + index * (4 * RESULT.widthMm + 10)
    return [4, 1].flatMap((scale) => {
      const [wide, high] = [RESULT.widthMm * scale, RESULT.heightMm * scale]
      const at = scale === 4 ? { x: left, y: 24 } : { x: left + 4 * RESULT.widthMm - wide - 1, y: 24 + 4 * RESULT.heightMm - high - 1 }
      const thread = drawThread(segments, {
        side,
        look: lookOf(done.assigned),
        detail: scale === 4 ? 'full' : 'edged',
        cloth,
        pixelsPerMm: scale * 6,
        within,
        patches,
        ...(side === 'back' ? { mirrorX: middle.x } : {}),
      })
      const placed = moveItems(scaleItems(moveItems(thread, { x: -middle.x, y: -middle.y }), scale), { x: at.x + wide / 2, y: at.y + high / 2 })
      return [ground(at.x, at.y, wide, high, cloth), ...placed]
    })
  })
}

function ground(x: number, y: number, widthMm: number, heightMm: number, colour: string): DrawingItem {
  return {
    kind: 'fill',
    colour,
    points: [
      { x, y },
      { x: x + widthMm, y },
      { x: x + widthMm, y: y + heightMm },
      { x, y: y + heightMm },
    ],
  }
}

function indexOf(pages: readonly string[]): string {
  const shown = pages.map((name) => `<p><a href="${name}.svg">${name}</a></p><img src="${name}.svg" alt="${name}" loading="lazy" width="1100">`)
  return `<!doctype html><meta charset="utf-8"><title>Stitches</title><body style="font-family:sans-serif;background:#e9e4d8">${shown.join('\n')}</body>\n`
}
