/** What can be done with all that is held: turned, mirrored, made larger, lined up, spaced evenly, copied. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import {
  alignHeld,
  bandBetween,
  copyHeld,
  cutShape,
  type Edge,
  endLineOn,
  guidesHeld,
  makeMotif,
  mirrorHeld,
  moveToFreePlace,
  putWithin,
  scaleHeld,
  spaceHeld,
  takeApart,
  turnHeld,
  turnRound,
  type Within,
  withMotifs,
} from '@lemmata/core/layout'
import { facingCounts, inBrick, rowsHeld } from '@lemmata/core/refit'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import { App, Button, Dropdown } from 'antd'
import { lazy, Suspense, useState } from 'react'
import { edit } from '../store/index.ts'
import { newId, newIds } from '../store/new-ids.ts'

// Sent for when they are opened: the cloth is seen sooner.
const BesideDialog = lazy(() => import('./BesideDialog.tsx').then((file) => ({ default: file.BesideDialog })))
const FiguresDialog = lazy(() => import('./FiguresDialog.tsx').then((file) => ({ default: file.FiguresDialog })))
const OneLengthDialog = lazy(() => import('./OneLengthDialog.tsx').then((file) => ({ default: file.OneLengthDialog })))

interface Props {
  readonly sampler: Sampler
  /** Ids of exercises and of sketches. */
  readonly held: readonly string[]
  readonly done: readonly WorkedExercise[]
  /** Handles about all that is held are shown. */
  readonly byHand?: boolean
  readonly onByHand?: () => void
}

const EDGES: readonly { readonly edge: Edge; readonly label: string }[] = [
  { edge: 'left', label: 'Line up at the left' },
  { edge: 'centre', label: 'Line up by their middles, one under another' },
  { edge: 'right', label: 'Line up at the right' },
  { edge: 'top', label: 'Line up at the top' },
  { edge: 'middle', label: 'Line up by their middles, side by side' },
  { edge: 'bottom', label: 'Line up at the bottom' },
]

/** So far an end goes under what lies over it. */
const TUCK_MM = 3

/** What a line, or a smaller shape, becomes of the shape that is held with it. */
const WITHIN: Readonly<Record<Within, string>> = {
  vein: 'The line as its vein',
  direction: 'Stitches lie as the line does',
  hole: 'The smaller one as a hole',
}

const NO_MEETING = 'Drawn on straight, the line does not reach the other.'

export function ArrangeMenu({ sampler, held, done, byHand = false, onByHand }: Props) {
  const { message } = App.useApp()
  const [beside, setBeside] = useState(false)
  const [oneLength, setOneLength] = useState(false)
  const [byFigures, setByFigures] = useState(false)
  const ids = guidesHeld(sampler, held)
  const { drawing } = sampler
  // A motif is turned and mirrored as one; lined up is what is held itself.
  const whole = withMotifs(drawing, ids)
  const [first, second] = ids
  const kindOf = (id: string | undefined) => drawing.guides.find((one) => one.id === id)?.guide.kind
  const isLine = (id: string | undefined): boolean => kindOf(id) === 'line' || kindOf(id) === 'band'
  const two = first !== undefined && second !== undefined && ids.length === 2
  const [line, other] = isLine(first) ? [first, second] : [second, first]
  const [shape, cut] = kindOf(first) === 'shape' ? [first, second] : [second, first]
  const width = Math.max(0, ...done.flatMap((one) => (held.includes(one.exercise.id) ? [one.widthMm] : [])))
  const put = (operation: Operation | null, otherwise: string | null): void => {
    if (operation) edit(operation)
    else if (otherwise !== null) message.info(otherwise)
  }
  /** `otherwise`: what is said where nothing comes of it. */
  const item = (key: string, label: string, operation: () => Operation | null, disabled = false, otherwise: string | null = null) => ({
    key,
    label,
    disabled,
    onClick: () => put(operation(), otherwise),
  })
  return (
    <>
      <Suspense fallback={null}>
        {beside && <BesideDialog sampler={sampler} held={held} widthMm={width} onClose={() => setBeside(false)} />}
        {byFigures && <FiguresDialog sampler={sampler} ids={whole} onClose={() => setByFigures(false)} />}
        {oneLength && <OneLengthDialog sampler={sampler} ids={ids} done={done} onClose={() => setOneLength(false)} />}
      </Suspense>
      <Dropdown
        trigger={['click']}
        disabled={ids.length === 0}
        menu={{
          className: 'long-menu',
          items: [
            item('copy', 'Copy it below', () => copyHeld(sampler, held, newIds), !sampler.exercises.some((one) => held.includes(one.id))),
            item('motif', 'One motif of these', () => makeMotif(drawing, ids, newId('m')), makeMotif(drawing, ids, 'm') === null),
            item('apart', 'Take the motif apart', () => takeApart(drawing, ids), takeApart(drawing, ids) === null),
            { type: 'divider' },
            { key: 'beside', label: 'This line again, beside it …', disabled: !ids.some(isLine), onClick: () => setBeside(true) },
            item(
              'facing',
              'As many stitches on each',
              () => facingCounts(done, held)?.operation ?? null,
              held.length < 2,
              'They have as many already, or a stitch would become a quarter longer or shorter.',
            ),
            item(
              'brick',
              'In brick: every second row half a stitch in',
              () => inBrick(drawing, rowsHeld(drawing, ids, done)),
              ids.length < 2,
              'Rows in brick are straight, equally long, and of equal stitches: give them one length first.',
            ),
            { key: 'one-length', label: 'One length for these rows …', disabled: !ids.some(isLine), onClick: () => setOneLength(true) },
            item('round', 'The other way round', () => turnRound(sampler, ids), !ids.some((id) => isLine(id))),
            item('end-on', 'End the line on the other', () => (two ? endLineOn(sampler, line ?? '', other ?? '', 0) : null), !two || !isLine(line), NO_MEETING),
            item(
              'tuck',
              `Tuck its end ${TUCK_MM} mm under the other`,
              () => (two ? endLineOn(sampler, line ?? '', other ?? '', TUCK_MM) : null),
              !two || !isLine(line),
              NO_MEETING,
            ),
            item(
              'cut',
              'Cut the shape along the line',
              () => (two ? cutShape(sampler, shape ?? '', cut ?? '', newIds) : null),
              !two || kindOf(shape) !== 'shape' || kindOf(cut) !== 'line',
              'The line must go into the shape and out of it once, and past its holes.',
            ),
            ...(['vein', 'direction', 'hole'] as const).map((as) =>
              item(
                as,
                WITHIN[as],
                () => (two ? putWithin(sampler, shape ?? '', cut ?? '', as) : null),
                !two || kindOf(shape) !== 'shape' || (as === 'hole' ? kindOf(cut) !== 'line' && kindOf(cut) !== 'shape' : kindOf(cut) !== 'line'),
                as === 'hole' ? 'A hole is closed, lies wholly inside, and apart from other holes.' : 'The line must be open.',
              ),
            ),
            item(
              'rails',
              'A band between the two lines',
              () => (two ? bandBetween(sampler, first, second, newIds) : null),
              !two || kindOf(first) !== 'line' || kindOf(second) !== 'line',
              'Its two rails must go beside one another.',
            ),
            { type: 'divider' },
            {
              key: 'by-hand',
              label: byHand ? 'Put the handles away (H)' : 'Turn and scale by hand (H)',
              disabled: onByHand === undefined,
              onClick: () => onByHand?.(),
            },
            { key: 'figures', label: 'Move, turn and scale by figures …', onClick: () => setByFigures(true) },
            item('free', 'Move it to the nearest free place', () => moveToFreePlace(sampler, whole), false, 'It lies free, or nothing so large is free.'),
            item('turn', 'Turn by 15°', () => turnHeld(drawing, whole, 15)),
            item('back', 'Turn back by 15°', () => turnHeld(drawing, whole, -15)),
            item('across', 'Mirror left to right', () => mirrorHeld(drawing, whole, 'across')),
            item('down', 'Mirror top to bottom', () => mirrorHeld(drawing, whole, 'down')),
            item('larger', 'Larger by a tenth', () => scaleHeld(drawing, whole, 1.1)),
            item('smaller', 'Smaller by a tenth', () => scaleHeld(drawing, whole, 1 / 1.1)),
            { type: 'divider' },
            ...EDGES.map(({ edge, label }) => item(edge, label, () => alignHeld(drawing, ids, edge), ids.length < 2)),
            item('space-across', 'Space evenly, side by side', () => spaceHeld(drawing, ids, 'across'), ids.length < 3),
            item('space-down', 'Space evenly, one under another', () => spaceHeld(drawing, ids, 'down'), ids.length < 3),
          ],
        }}
      >
        <Button>{held.length > 1 ? `Arrange ${held.length}` : 'Arrange'} ▾</Button>
      </Dropdown>
    </>
  )
}
