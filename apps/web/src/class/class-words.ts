/** What a learner does next, as her teacher reads it. */
import type { PracticeState, WhatNext } from '@lemmata/core/practice'
import { listInWords } from '@lemmata/core/units'

export const STATE_WORDS: Readonly<Record<PracticeState, string>> = {
  untouched: 'not begun',
  practising: 'practising',
  stuck: 'stuck',
  can: 'can do it',
}

interface Names {
  readonly exercise: (id: string) => string
  /** From 1. */
  readonly lesson: (id: string) => number
}

export function nextForTeacher(next: WhatNext, names: Names): string {
  switch (next.kind) {
    case 'help':
      return `Help with ${names.exercise(next.exercise)}${next.step === null ? '' : `, step ${next.step}`}`
    case 'catch-up':
      return `Catch up lesson${next.lessons.length > 1 ? 's' : ''} ${listInWords(next.lessons.map((one) => String(names.lesson(one))))}, from ${names.exercise(next.exercise)}`
    case 'practise':
      return `Practise ${names.exercise(next.exercise)}${next.planned > 0 ? `: ${Math.round(next.minutes)} of ${Math.round(next.planned)} min` : ''}`
    case 'ready':
      return `Ready for lesson ${names.lesson(next.lesson)}`
    case 'ahead':
      return `Ahead: has begun ${names.exercise(next.exercise)}`
    case 'finished':
      return 'All of it is worked'
  }
}
