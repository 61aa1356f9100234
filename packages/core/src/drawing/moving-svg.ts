/**
 * The moving hand as one file that moves by itself: an SVG whose frames are shown in turn by a style of its own, with its sentences
 * beneath. What lies on the cloth is drawn once a step, the needle in every frame. Where motion is not wanted, the end is shown.
 */
import { momentAt, secondsOf, type Step } from '../steps/index.ts'
import type { DrawingItem } from './drawing.ts'
import { drawStepParts, type StepPicture } from './draw-step.ts'
import { writeItems } from './write-svg.ts'

export interface MovingPicture extends Pick<StepPicture, 'demonstration' | 'look' | 'cloth'> {
  /** The lines beneath the picture, a list a step; `MOVING_CAPTION` says how wide. */
  readonly captions: readonly (readonly string[])[]
  readonly title: string
}

/** So large are its words, and so wide may a line of them be. mm. */
export const MOVING_CAPTION = { sizeMm: 3.6, widthMm: 88 }
const SIZE = { widthMm: 100, heightMm: 66, numberMm: 4.4, detail: 'full' } as const

/** Frames a second: enough that the needle is followed by eye, few enough that the file can be sent. */
const FRAMES = 8
/** A step rests so long before the next, s. */
const REST_SECONDS = 0.9

export function writeMovingSvg(picture: MovingPicture): string {
  const { demonstration, captions, title } = picture
  const { widthMm, heightMm } = SIZE
  const captionMm = MOVING_CAPTION.sizeMm
  const grounds = new Map<string, { readonly id: string; readonly svg: string }>()
  const frames: string[] = []
  for (const [index, step] of demonstration.steps.entries()) {
    const moving = Math.max(1, Math.round(secondsOf(step) * FRAMES))
    const resting = Math.round(REST_SECONDS * FRAMES)
    for (let frame = 0; frame < moving; frame += 1) frames.push(frameOf(momentAt(demonstration, index, frame / moving) ?? step, index, picture, grounds))
    // The last frame stands for as long as the step rests.
    const still = frameOf(step, index, picture, grounds)
    for (let frame = 0; frame < resting; frame += 1) frames.push(still)
  }
  const seconds = frames.length / FRAMES
  const share = (100 / Math.max(1, frames.length)).toFixed(4)
  const lines = Math.max(1, ...captions.map((one) => one.length))
  const high = heightMm + (lines + 0.6) * 1.35 * captionMm
  const style = `.f{visibility:hidden;animation:f ${seconds}s steps(1,end) infinite}@keyframes f{0%{visibility:visible}${share}%{visibility:hidden}}@media (prefers-reduced-motion:reduce){.f{animation:none}.f.last{visibility:visible}}`
  const stretches = runs(frames)
  const shown = stretches.map(
    ({ svg, from, count }, index, all) =>
      `<g class="f${index === all.length - 1 ? ' last' : ''}" style="animation-delay:${(from / FRAMES - seconds).toFixed(3)}s${count > 1 ? `;animation-name:f${count}` : ''}">${svg}</g>`,
  )
  const longer = [...new Set(stretches.map(({ count }) => count))].filter((count) => count > 1)
  const names = longer.map((count) => `@keyframes f${count}{0%{visibility:visible}${(count * Number(share)).toFixed(4)}%{visibility:hidden}}`).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm * 2}mm" height="${(high * 2).toFixed(1)}mm" viewBox="0 0 ${widthMm} ${high.toFixed(1)}" role="img"><title>${escape(title)}</title><style>${style}${names}</style><rect width="100%" height="100%" fill="#FBF8F1"/><defs>${[...grounds.values()].map(({ id, svg }) => `<g id="${id}">${svg}</g>`).join('')}</defs>${shown.join('')}</svg>\n`
}

/** What lies on the cloth by its name, the needle over it, the sentence beneath. */
function frameOf(step: Step, index: number, picture: MovingPicture, grounds: Map<string, { readonly id: string; readonly svg: string }>): string {
  const { ground, hand } = drawStepParts({ ...picture, ...SIZE, step })
  const key = [
    step.view,
    step.sequence,
    step.holesMade,
    step.surfaceMovesMade,
    step.patches,
    step.holes.join('.'),
    step.known.join('.'),
    step.inHand.length,
  ].join(' ')
  const known = grounds.get(key) ?? { id: `g${grounds.size}`, svg: writeItems(ground()) }
  grounds.set(key, known)
  return `<use href="#${known.id}"/>${writeItems([...hand, ...caption(index, picture)])}`
}

function caption(index: number, { captions, demonstration }: MovingPicture): DrawingItem[] {
  const { heightMm } = SIZE
  const captionMm = MOVING_CAPTION.sizeMm
  const lines = captions[index] ?? []
  const number: DrawingItem = {
    kind: 'words',
    at: { x: 0.5 * captionMm, y: heightMm + 1.4 * captionMm },
    text: String(demonstration.steps[index]?.number ?? index + 1),
    sizeMm: captionMm,
    face: 'text-bold',
    colour: '#1F2A37',
    align: 'left',
  }
  return [
    number,
    ...lines.map((text, line): DrawingItem => ({ ...number, text, face: 'text', at: { x: 2.2 * captionMm, y: heightMm + (1.4 + 1.35 * line) * captionMm } })),
  ]
}

/** Frames that are alike and follow each other are one, shown longer. */
function runs(frames: readonly string[]): readonly { readonly svg: string; readonly from: number; readonly count: number }[] {
  const found: { svg: string; from: number; count: number }[] = []
  for (const [index, svg] of frames.entries()) {
    const last = found[found.length - 1]
    if (last?.svg === svg) last.count += 1
    else found.push({ svg, from: index, count: 1 })
  }
  return found
}

const escape = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
