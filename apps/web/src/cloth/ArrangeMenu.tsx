/** What can be done with all that is held: turned, mirrored, made larger, lined up, spaced evenly, copied. */
import { alignHeld, copyHeld, type Edge, guidesHeld, mirrorHeld, scaleHeld, spaceHeld, turnHeld } from '@lemmata/core/layout'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import { Button, Dropdown } from 'antd'
import { edit } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'

interface Props {
  readonly sampler: Sampler
  /** Ids of exercises and of sketches. */
  readonly held: readonly string[]
}

const EDGES: readonly { readonly edge: Edge; readonly label: string }[] = [
  { edge: 'left', label: 'Line up at the left' },
  { edge: 'centre', label: 'Line up by their middles, one under another' },
  { edge: 'right', label: 'Line up at the right' },
  { edge: 'top', label: 'Line up at the top' },
  { edge: 'middle', label: 'Line up by their middles, side by side' },
  { edge: 'bottom', label: 'Line up at the bottom' },
]

export function ArrangeMenu({ sampler, held }: Props) {
  const ids = guidesHeld(sampler, held)
  const { drawing } = sampler
  const put = (operation: Operation | null): void => {
    if (operation) edit(operation)
  }
  const item = (key: string, label: string, operation: () => Operation | null, disabled = false) => ({ key, label, disabled, onClick: () => put(operation()) })
  return (
    <Dropdown
      trigger={['click']}
      disabled={ids.length === 0}
      menu={{
        items: [
          item('copy', 'Copy it below', () => copyHeld(sampler, held, newIds), !sampler.exercises.some((one) => held.includes(one.id))),
          { type: 'divider' },
          item('turn', 'Turn by 15°', () => turnHeld(drawing, ids, 15)),
          item('back', 'Turn back by 15°', () => turnHeld(drawing, ids, -15)),
          item('across', 'Mirror left to right', () => mirrorHeld(drawing, ids, 'across')),
          item('down', 'Mirror top to bottom', () => mirrorHeld(drawing, ids, 'down')),
          item('larger', 'Larger by a tenth', () => scaleHeld(drawing, ids, 1.1)),
          item('smaller', 'Smaller by a tenth', () => scaleHeld(drawing, ids, 1 / 1.1)),
          { type: 'divider' },
          ...EDGES.map(({ edge, label }) => item(edge, label, () => alignHeld(drawing, ids, edge), ids.length < 2)),
          item('space-across', 'Space evenly, side by side', () => spaceHeld(drawing, ids, 'across'), ids.length < 3),
          item('space-down', 'Space evenly, one under another', () => spaceHeld(drawing, ids, 'down'), ids.length < 3),
        ],
      }}
    >
      <Button>{held.length > 1 ? `Arrange ${held.length}` : 'Arrange'} ▾</Button>
    </Dropdown>
  )
}
