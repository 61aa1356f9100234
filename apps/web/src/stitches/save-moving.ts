/** The moving hand as a file that a teacher can send: one picture that moves by itself, with its sentences. */
import { lookOf, MOVING_CAPTION, writeMovingSvg } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { stitchIn } from '@lemmata/core/language'
import { wrapText } from '@lemmata/core/sheets'
import { type Demonstration, stepSentence } from '@lemmata/core/steps'
import { downloadText } from './download.ts'

/** Letters of a text face are so wide on the whole, as a share of their size; whoever opens the file may have another face. */
const LETTER = 0.5
const measure = (text: string, sizeMm: number): number => text.length * sizeMm * LETTER

export function saveMoving(done: WorkedExercise, demonstration: Demonstration, cloth: string): void {
  const { assigned } = done
  const svg = writeMovingSvg({
    demonstration,
    look: lookOf(assigned),
    cloth,
    title: stitchIn(assigned.document, assigned.language),
    captions: demonstration.steps.map((step) => wrapText(stepSentence(step, assigned), MOVING_CAPTION.widthMm, MOVING_CAPTION.sizeMm, 'text', measure)),
  })
  downloadText(`${assigned.document.id}, ${demonstration.hand} hand.svg`, svg, 'image/svg+xml')
}
