/** The sizes of type, mm: height of the letters and distance from line to line. Nothing is smaller than the foot. */
import type { BookForm } from './grid.ts'

export interface TypeSize {
  readonly sizeMm: number
  readonly leadMm: number
}

const POINT_MM = 25.4 / 72
const pt = (size: number, lead: number): TypeSize => ({ sizeMm: size * POINT_MM, leadMm: lead * POINT_MM })

export interface TypeScale {
  readonly course: TypeSize
  readonly number: TypeSize
  readonly title: TypeSize
  readonly letter: TypeSize
  readonly name: TypeSize
  readonly heading: TypeSize
  readonly step: TypeSize
  readonly text: TypeSize
  /** Of tables and hints. */
  readonly small: TypeSize
  readonly foot: TypeSize
}

const USUAL: TypeScale = {
  course: pt(44, 46),
  number: pt(54, 46),
  title: pt(25, 28),
  letter: pt(34, 29),
  name: pt(19, 21.5),
  heading: pt(14.5, 19),
  step: pt(12, 14.6),
  text: pt(11.5, 15.5),
  small: pt(10, 13.5),
  foot: pt(9, 12),
}

/** For eyes that need it: half as large again. */
const LARGE: TypeScale = {
  course: pt(44, 46),
  number: pt(72, 60),
  title: pt(34, 37),
  letter: pt(48, 40),
  name: pt(28, 31),
  heading: pt(22, 28),
  step: pt(18, 22),
  text: pt(18, 23),
  small: pt(16, 20),
  foot: pt(14, 17),
}

export const typeFor = (form: BookForm): TypeScale => (form === 'large' ? LARGE : form === 'compact' ? { ...USUAL, step: pt(10.5, 13) } : USUAL)
