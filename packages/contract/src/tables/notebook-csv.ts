/** A learner's stitch notebook as a table for other programs: a line for each photographed row. Lengths are in millimetres. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Language, needleIn, stitchIn, threadIn } from '@lemmata/core/language'
import { ROW_WORDS } from '@lemmata/core/photo'
import type { NotebookRow } from '@lemmata/core/practice'
import { formatStitchLength, type LengthUnit } from '@lemmata/core/units'
import { roundTo } from '@lemmata/core/base'
import papaparse from 'papaparse'

const COLUMNS: Readonly<Record<Language, readonly string[]>> = {
  en: [
    ...['Date', 'Row', 'Exercise', 'Stitch', 'Cloth', 'Thread', 'Colour', 'Strands', 'Needle', 'Stitches', 'Planned mm', 'Length mm', 'Varies by mm'],
    ...['Off the line mm', 'How it was measured', 'What was said'],
  ],
  de: [
    ...['Datum', 'Reihe', 'Übung', 'Stich', 'Stoff', 'Garn', 'Farbe', 'Fäden', 'Nadel', 'Stiche', 'Geplant mm', 'Länge mm', 'Schwankt um mm'],
    ...['Neben der Linie mm', 'Wie gemessen', 'Was gesagt wurde'],
  ],
}

const HOW: Readonly<Record<Language, readonly [string, string, string]>> = {
  en: ['each stitch', 'each stitch, put right by hand', 'as a whole'],
  de: ['jeder Stich', 'jeder Stich, von Hand berichtigt', 'im Ganzen'],
}

export interface NotebookSetting {
  readonly language: Language
  readonly units: LengthUnit
  readonly cloth: string
  /** By the id of the exercise; those that are no longer taught have none. */
  readonly worked: ReadonlyMap<string, WorkedExercise>
}

export function notebookCsv(rows: readonly NotebookRow[], { language, units, cloth, worked }: NotebookSetting): string {
  const [surely, byHand, whole] = HOW[language]
  const length = (mm: number): string => formatStitchLength(mm, units)
  const data = rows.map(({ on, exercise, number, row, advice }): (string | number)[] => {
    const own = worked.get(exercise)
    const main = own?.assigned.main
    const figure = (mm: number): number => roundTo(mm, 2)
    return [
      ...[on, number, own?.exercise.name ?? exercise, own ? stitchIn(own.assigned.document, language) : '', cloth],
      ...[
        main ? threadIn(main.kind, language) : '',
        main?.thread.value.colour.name ?? '',
        main?.bundle.strands ?? '',
        main ? needleIn(main.needle.value, language) : '',
      ],
      // Of a row that was measured as a whole only that.
      ...[row.isCounted ? row.count : '', figure(row.plannedMm), figure(row.lengthMm)],
      ...[row.isCounted ? figure(row.spreadMm) : '', row.driftMm === null ? '' : figure(row.driftMm)],
      ...[row.isPutRight ? byHand : row.isCounted ? surely : whole, ROW_WORDS[language].advice(advice, length)],
    ]
  })
  // With the mark by which tables know the letters' coding; nothing in it is taken for a formula.
  return `\uFEFF${papaparse.unparse({ fields: [...COLUMNS[language]], data }, { escapeFormulae: true })}\r\n`
}
