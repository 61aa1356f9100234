/** The cover: the course's name, the finished piece as worked, whose book it is, and when the class meets. */
import type { DrawingItem } from '../drawing/index.ts'
import type { Box } from '../geometry/index.ts'
import { hoopOutline, outerOf } from '../materials/index.ts'
import { INK, WALNUT } from '../sheets/index.ts'
import { listInWords } from '../units/index.ts'
import { beside, type Block, boxOfAll, figure, finishedPiece, gap, line, stack, text, thumbnail, tick } from '../pages/index.ts'
import type { Making } from './types.ts'
import { dayInWords } from './words-of.ts'

export function cover(making: Making, widthMm: number, roomMm: number): readonly Block[] {
  const { said, sampler, lessons } = making
  const kind = centred(making, said.cover.kind(lessons.length), widthMm, 'foot')
  const name = centred(making, sampler.name, widthMm, 'course')
  const foot = stack([gap(4), footOf(making, widthMm)])
  const picture = piece(making, widthMm, roomMm - kind.heightMm - name.heightMm - foot.heightMm - 14)
  const rest = roomMm - kind.heightMm - name.heightMm - foot.heightMm - (picture?.heightMm ?? 0) - 2
  return [gap(2), kind, name, gap(Math.max(2, rest * 0.4)), ...(picture ? [picture] : []), gap(Math.max(2, rest * 0.3)), foot]
}

function centred({ set, measure }: Making, said: string, widthMm: number, as: 'course' | 'foot'): Block {
  let size = as === 'course' ? set.type.course : set.type.heading
  const face = as === 'course' ? 'heading' : 'text'
  // A name of a hundred letters is set smaller, not longer than the cover has room.
  while (as === 'course' && measure(said, size.sizeMm, face) > 2.4 * widthMm && size.sizeMm > 7)
    size = { sizeMm: size.sizeMm * 0.85, leadMm: size.leadMm * 0.85 }
  return text(set, said, widthMm, { size, face, colour: as === 'course' ? INK : WALNUT, isCentred: true, tag: as === 'course' ? 'H1' : 'P' })
}

/** In the hoop it hangs in, else in the one it is worked in; by itself where it has none. */
function piece(making: Making, widthMm: number, mostMm: number): Block | null {
  const { sampler, done } = making
  const box = boxOfAll(done)
  if (!box) return null
  const hoop = sampler.displayHoop ?? sampler.workingHoop
  const frame = hoop ? ringOf(hoop) : null
  const whole: Box = frame?.box ?? box
  const heightMm = Math.min(mostMm, (widthMm * (whole.bottom - whole.top)) / Math.max(1, whole.right - whole.left))
  const { said, ink } = making
  // With the least ink the piece is its lines.
  const inked = ink === 'saving' ? thumbnail(done, new Set(), widthMm, heightMm) : finishedPiece(done, whole, widthMm, heightMm, frame?.items ?? [])
  return figure(inked, widthMm, said.alt.finished(sampler.name))
}

function ringOf(hoop: NonNullable<Making['sampler']['displayHoop']>): { readonly box: Box; readonly items: readonly DrawingItem[] } {
  const [across, down] = outerOf(hoop)
  const [x, y] = hoop.at
  const wood = (across - (hoop.shape === 'round' ? hoop.insideMm : hoop.insideMm[0])) / 2
  const edge = (outwardMm: number, widthMm: number, colour: string): DrawingItem => ({
    ...{ kind: 'stroke', paths: [hoopOutline(hoop, -outwardMm)], widthMm, colour, closed: true },
  })
  return {
    box: { left: x - across / 2 - 1, right: x + across / 2 + 1, top: y - down / 2 - 1, bottom: y + down / 2 + 1 },
    // The wood, its two edges, and the gap between the rings.
    items: [edge(wood / 2, wood, '#D9BC8C'), edge(0, 0.4, '#8C6B3F'), edge(wood, 0.4, '#8C6B3F'), edge(wood / 2, 0.25, '#A98753')],
  }
}

function footOf(making: Making, widthMm: number): Block {
  const { said, set, owner, hand, dates, lessons } = making
  const half = widthMm / 2 - 4
  const own = owner === null ? { heightMm: 9, draw: () => [line(0, half, 7, 0.3)] } : text(set, `**${owner}**`, half, { size: set.type.heading })
  const left = stack([
    text(set, said.cover.owner, half),
    own,
    owner === null ? beside([0, tick(set, said.cover.hands[0], half / 2)], [half / 2, tick(set, said.cover.hands[1], half / 2)]) : gap(0.1),
    text(set, said.cover.drawnFor[hand], half, { size: set.type.small, colour: WALNUT }),
  ])
  if (!dates) return left
  const days = lessons.flatMap(({ lesson }) => dates.laid.lessons.find((one) => one.lesson === lesson.id)?.on ?? []).map((on) => dayInWords(on, said))
  const off = dates.laid.days.flatMap((one) => (one.kind === 'off' ? [dayInWords(one.on, said)] : []))
  const right = stack([
    text(set, `**${said.cover.dates}**`, half),
    text(set, listInWords(days), half, { size: set.type.small }),
    ...(off.length > 0 ? [text(set, said.cover.noClass(listInWords(off)), half, { size: set.type.small, colour: WALNUT })] : []),
  ])
  return beside([0, left], [widthMm / 2 + 4, right])
}
