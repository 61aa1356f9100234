/** What a learner does next, as her teacher reads it. */
import type { Advice } from '@lemmata/core/photo'
import type { PracticeState, WhatNext } from '@lemmata/core/practice'
import { formatStitchLength, type LengthUnit, listInWords } from '@lemmata/core/units'

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

export function nextForTeacher(next: WhatNext, names: Names, units: LengthUnit): string {
  switch (next.kind) {
    case 'help':
      return `Help with ${names.exercise(next.exercise)}${next.step === null ? '' : `, step ${next.step}`}`
    case 'catch-up':
      return `Catch up lesson${next.lessons.length > 1 ? 's' : ''} ${listInWords(next.lessons.map((one) => String(names.lesson(one))))}, from ${names.exercise(next.exercise)}`
    case 'practise':
      if (next.advice) return `${names.exercise(next.exercise)}: ${adviceForTeacher(next.advice, units)}`
      return `Practise ${names.exercise(next.exercise)}${next.planned > 0 ? `: ${Math.round(next.minutes)} of ${Math.round(next.planned)} min` : ''}`
    case 'ready':
      return `Ready for lesson ${names.lesson(next.lesson)}`
    case 'ahead':
      return `Ahead: has begun ${names.exercise(next.exercise)}`
    case 'finished':
      return 'All of it is worked'
  }
}

/** What her last row asks for and why, in half a line. */
function adviceForTeacher(advice: Advice, units: LengthUnit): string {
  const length = (mm: number): string => formatStitchLength(mm, units)
  switch (advice.kind) {
    case 'uneven':
      return `mark every third hole, lengths vary by ${length(advice.spreadMm)}`
    case 'drifting-lengths':
      return `mark every third hole, lengths go from ${length(advice.firstMm)} to ${length(advice.lastMm)}`
    case 'larger':
      return 'a larger stitch or one more strand, no more even after three rows'
    case 'other-length':
      return `${advice.lengthMm > advice.plannedMm ? 'shorter' : 'longer'} stitches, ${length(advice.lengthMm)} for ${length(advice.plannedMm)}`
    case 'gaps':
      return `${advice.gapMm > advice.plannedGapMm ? 'less' : 'more'} cloth each time, gaps of ${length(advice.gapMm)} for ${length(advice.plannedGapMm)}`
    case 'off-the-line':
      return `tighten the hoop, ${length(advice.driftMm)} off the line`
    case 'leaning':
      return `holes straight under one another, it leans ${Math.abs(Math.round(advice.leanDeg))} degrees`
    case 'cloth-shows':
      return `one stitch more where cloth shows, ${length(advice.widestMm)}`
    case 'once-more':
      return 'one more row like the last'
    case 'go-on':
      return 'two good rows, go on without marks'
  }
}
