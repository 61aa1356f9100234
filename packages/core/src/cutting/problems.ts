/** Cutting, preparing and hooping in words. */
import type { Sentences } from '../base/index.ts'

export const CUTTING_SENTENCES: Sentences = {
  'cutting.small': 'The cloth is {mm} at its narrowest; {wanted} leave {beyond} beyond the hoop on each side, to pull tight and to lace.',
  'cutting.count': 'From one to {most} pieces can be cut.',
  'cutting.too-wide': 'A piece is {mm} wide and the cloth has {usable} between its selvedges. Take a wider cloth.',
  'cutting.soak': 'Soak the cloth overnight, as hot as it will ever be washed; rinse until the water stays clear.',
  'cutting.dry': 'Hang it to dry, straight along the warp.',
  'cutting.press': 'Press it while it is still a little damp, along the threads.',
  'cutting.press-dry': 'Press it along the threads. Unwashed, it may shrink under the stitches at its first wash.',
  'cutting.cut': 'Draw a thread, or follow one, and cut along it.',
  'cutting.overcast': 'Overcast the cut edges by hand or machine, or they fray in the hoop.',
  'cutting.stabilise': 'Tack the stabiliser behind it without stretching it.',
  'cutting.mark': 'Mark the cloth: {method}.',
  'cutting.mark-with': 'Mark the cloth; with what is still to be chosen.',
  'cutting.mark-late': 'Mark what the first lesson needs on the day before, not sooner ({method}): it does not stay.',
  'cutting.bind': 'Bind the inner ring of the {mm} hoop with cotton tape, so that the cloth does not slip.',
  'cutting.grain': 'Lay the warp upright, towards the screw; threads run straight up and across, never aslant.',
  'cutting.no-grain': 'It has no grain; lay it without stretching it.',
  'cutting.float': 'Hoop the stabiliser alone and lay the cloth on it unstretched.',
  'cutting.marks-first': 'Mark it flat before it goes in: on stretched cloth straight lines bow when it is taken out.',
  'cutting.tighten': 'Tighten the screw half, pull the cloth along its threads at four sides in turn, then tighten. Never pull at a corner.',
  'cutting.drum': 'Tap it: it sounds like a drum, and a pile of coins in the middle sinks by less than {sag}.',
  'cutting.loosen': 'Loosen it after every lesson; keep raised stitches out from under the ring.',
  'cutting.on-frame': 'It is laced or pinned to a frame, threads straight, tight from side to side; a ring would pull it out of shape.',
}
