/**
 * What must come first where two exercises meet on the cloth: flat before raised, and a fill before its
 * outline or after it, as the way of working says. Seen from the worked threads.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import { distance, isInRegion, nearestPlace, type Point } from '../geometry/index.ts'
import type { Motion } from '../work/index.ts'

/** `said`: the document says so; the others are seen from how the exercises lie. */
export type ClothReason = 'said' | 'raised' | 'fill-first' | 'outline-first'

/** Motions that leave the thread standing over the cloth. */
const RAISED: readonly Motion[] = ['wrap', 'cast', 'stand', 'bead', 'pad', 'round-pin', 'weave']
/** Threads nearer than this touch, mm. */
const TOUCH_MM = 1
/** A line that runs so near the edge of a shape for most of its way is its outline, mm. */
const OUTLINE_MM = 1.5
const MOST_OF_ITS_WAY = 0.7

type After = readonly { readonly id: string; readonly because: ClothReason }[]

export function orderOnCloth(done: readonly WorkedExercise[]): ReadonlyMap<string, After> {
  const after = new Map<string, { id: string; because: ClothReason }[]>()
  const add = (then: WorkedExercise, first: WorkedExercise, because: ClothReason): void => {
    after.set(then.exercise.id, [...(after.get(then.exercise.id) ?? []), { id: first.exercise.id, because }])
  }
  for (const [i, one] of done.entries()) {
    for (const [j, other] of done.entries()) {
      if (i >= j || !meet(boxOf(one), boxOf(other))) continue
      if (outlines(one, other) || outlines(other, one)) {
        const [line, fill] = outlines(one, other) ? [one, other] : [other, one]
        if (line.assigned.ways.fillThenOutline) add(line, fill, 'fill-first')
        else add(fill, line, 'outline-first')
      } else if (isRaised(one) !== isRaised(other) && touch(one, other)) {
        const [raised, flat] = isRaised(one) ? [one, other] : [other, one]
        add(raised, flat, 'raised')
      }
    }
  }
  return after
}

/** Pairs whose threads meet, whether or not anything says which is worked first. */
export function meetingsOnCloth(done: readonly WorkedExercise[]): readonly (readonly [string, string])[] {
  return done.flatMap((one, index) =>
    done
      .slice(index + 1)
      .filter((other) => meet(boxOf(one), boxOf(other)) && touch(one, other))
      .map((other) => [one.exercise.id, other.exercise.id] as const),
  )
}

function isRaised(done: WorkedExercise): boolean {
  return RAISED.some((motion) => (done.worked.motions[motion] ?? 0) > 0)
}

interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** An exercise that was worked once keeps its box; an edit works another. */
const boxes = new WeakMap<WorkedExercise, Box>()

function boxOf(done: WorkedExercise): Box {
  const known = boxes.get(done)
  if (known) return known
  const box = findBox(done)
  boxes.set(done, box)
  return box
}

function findBox({ worked }: WorkedExercise): Box {
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }
  for (const { x, y } of worked.holes) {
    box.left = Math.min(box.left, x)
    box.top = Math.min(box.top, y)
    box.right = Math.max(box.right, x)
    box.bottom = Math.max(box.bottom, y)
  }
  return box
}

function meet(a: Box, b: Box): boolean {
  return a.left - TOUCH_MM < b.right && b.left - TOUCH_MM < a.right && a.top - TOUCH_MM < b.bottom && b.top - TOUCH_MM < a.bottom
}

/** An outline reaches as far as the shape, to each side, and no further. */
function isAsLarge(a: Box, b: Box): boolean {
  const near = (one: number, other: number): boolean => Math.abs(one - other) < 3 * OUTLINE_MM
  return near(a.left, b.left) && near(a.right, b.right) && near(a.top, b.top) && near(a.bottom, b.bottom)
}

/** The first is a line along the edge of the second's shape. */
function outlines(line: WorkedExercise, fill: WorkedExercise): boolean {
  if (line.guide.kind !== 'line' || fill.guide.kind !== 'shape' || !isAsLarge(boxOf(line), boxOf(fill))) return false
  const { outline } = fill.guide
  const { holes } = line.worked
  const near = holes.filter((hole) => nearestPlace(outline, hole).distance < OUTLINE_MM).length
  return near >= MOST_OF_ITS_WAY * holes.length
}

/** Some hole of one lies on the other's shape or beside one of its holes. */
function touch(a: WorkedExercise, b: WorkedExercise): boolean {
  const inside = (done: WorkedExercise, at: Point): boolean => done.guide.kind === 'shape' && isInRegion(done.guide.region, at)
  const near = cellsOf(b)
  return a.worked.holes.some((hole) => inside(b, hole) || isBeside(near, hole)) || b.worked.holes.some((hole) => inside(a, hole))
}

type Cells = ReadonlyMap<string, readonly Point[]>
const cells = new WeakMap<WorkedExercise, Cells>()

/** The holes of an exercise by squares as wide as touching is. */
function cellsOf(done: WorkedExercise): Cells {
  const known = cells.get(done)
  if (known) return known
  const found = new Map<string, Point[]>()
  for (const hole of done.worked.holes) {
    const key = `${Math.floor(hole.x / TOUCH_MM)},${Math.floor(hole.y / TOUCH_MM)}`
    const list = found.get(key)
    if (list) list.push(hole)
    else found.set(key, [hole])
  }
  cells.set(done, found)
  return found
}

function isBeside(near: Cells, at: Point): boolean {
  const [x, y] = [Math.floor(at.x / TOUCH_MM), Math.floor(at.y / TOUCH_MM)]
  for (let dx = -1; dx <= 1; dx += 1) {
    for (let dy = -1; dy <= 1; dy += 1) if ((near.get(`${x + dx},${y + dy}`) ?? []).some((other) => distance(at, other) < TOUCH_MM)) return true
  }
  return false
}
