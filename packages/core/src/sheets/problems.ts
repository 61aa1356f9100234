/** Why nothing can be printed, in words. */
import type { Sentences } from '../base/index.ts'

export const SHEETS_SENTENCES: Sentences = {
  'print.no-lesson': ({ lesson, has }, say) =>
    `There is no lesson "${say(lesson)}" in this sampler. It has ${(has as readonly string[]).join(', ') || 'none'}.`,
  'print.no-since': 'Say since which version: a slip is between what learners have in hand and what is now.',
  'print.no-learners': 'Nobody is in this class yet: add learners or let them join, and each has her next row.',
  'print.no-lessons': 'No lesson holds an exercise that can be worked: put exercises into lessons under Order, and the book has its pages.',
  'print.nothing': 'There is no exercise to print yet. Choose a stitch first.',
}
