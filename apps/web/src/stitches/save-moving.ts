/** The moving hand as a file that a teacher can send: one picture that moves by itself, with its sentences. */
import { lookOf, writeMovingSvg } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { stitchIn } from '@lemmata/core/language'
import { wrapText } from '@lemmata/core/sheets'
import { type Demonstration, stepSentence } from '@lemmata/core/steps'
import { downloadText } from './download.ts'

const CAPTION_MM = 3.6
/** Letters of a text face are so wide on the whole, as a share of their size; whoever opens the file may have another face. */
const LETTER = 0.5

export function saveMoving(done: WorkedExercise, demonstration: Demonstration, cloth: string): void {
  const { assigned } = done
  const svg = writeMovingSvg({
    demonstration,
    look: lookOf(assigned),
    widthMm: 100,
    heightMm: 66,
    detail: 'full',
    cloth,
    numberMm: 4.4,
    title: stitchIn(assigned.document, assigned.language),
    captionMm: CAPTION_MM,
    captions: demonstration.steps.map((step) =>
      wrapText(stepSentence(step, assigned), 88, CAPTION_MM, 'text', (text, sizeMm) => text.length * sizeMm * LETTER),
    ),
  })
  downloadText(`${assigned.document.id}, ${demonstration.hand} hand.svg`, svg, 'image/svg+xml')
}
