/** The selected guide's places, typed: what dragging does by eye. */
import { takeOut } from '@lemmata/core/layout'
import type { DrawnGuide, Sampler } from '@lemmata/core/sampler'
import { formatLength, type LengthUnit, parseLength } from '@lemmata/core/units'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { edit } from '../store/index.ts'
import { type Handle, handlesOf, innerPaths, moveHandle } from '@lemmata/core/guide'

export function GuideFields({ drawn, unit }: { drawn: DrawnGuide; unit: LengthUnit }) {
  // Bends and corners are taken hold of on the cloth.
  const handles = handlesOf(drawn.guide).filter((handle) => handle.of === undefined && !handle.id.includes('point-'))
  const whole = handles.find((handle) => handle.id === 'whole')
  const single = handles.filter((handle) => handle !== whole)
  // Both ends of a line; of many spots the first; the base that all pins stand over.
  const shown = whole && (single.length === 0 || drawn.guide.kind === 'pins') ? [whole] : single.length > 2 ? single.slice(0, 1) : single
  return (
    <>
      {shown.map((handle) => (
        <span key={handle.id} style={{ display: 'inline-flex', alignItems: 'center', gap: 4 }}>
          <span className="quiet" style={{ fontSize: 13.5 }}>
            {labelOf(drawn, handle)}
          </span>
          <Coordinate drawn={drawn} handle={handle} axis="x" unit={unit} />
          <Coordinate drawn={drawn} handle={handle} axis="y" unit={unit} />
        </span>
      ))}
    </>
  )
}

/** What lies within it, each with a way out; rails stay, for without them it is no band. */
export function WithinGuide({ sampler, drawn }: { sampler: Sampler; drawn: DrawnGuide }) {
  const taken = innerPaths(drawn.guide).flatMap(({ id, name }) => {
    const operation = takeOut(sampler, drawn.id, id)
    return operation ? [{ id, name, operation }] : []
  })
  return taken.length === 0 ? null : (
    <div className="within-guide">
      {taken.map(({ id, name, operation }) => (
        <Button key={id} size="small" onClick={() => edit(operation)}>
          Take out {name}
        </Button>
      ))}
    </div>
  )
}

const LABELS: Readonly<Record<string, string>> = { start: 'Start', end: 'End', whole: 'Middle', 'spot-0': 'First spot' }

function labelOf({ guide }: DrawnGuide, handle: Handle): string {
  return guide.kind === 'pins' && handle.id === 'whole' ? 'Base' : (LABELS[handle.id] ?? handle.name)
}

function Coordinate({ drawn, handle, axis, unit }: { drawn: DrawnGuide; handle: Handle; axis: 'x' | 'y'; unit: LengthUnit }) {
  const [typed, setTyped] = useState<string | null>(null)
  const value = handle.at[axis]
  const shown = formatLength(value, unit, unit === 'mm' ? 1 : 3).replace(/ (mm|in).*$/, '')
  const parsed = typed === null ? value : parseLength(typed, unit)
  const keep = (): void => {
    if (typed === null || parsed === null) return
    setTyped(null)
    if (Math.abs(parsed - value) > 0.01)
      edit({ kind: 'change-guide', id: drawn.id, set: { guide: moveHandle(drawn.guide, handle, { ...handle.at, [axis]: parsed }) } })
  }
  return (
    <Input
      size="small"
      style={{ width: unit === 'mm' ? 70 : 84 }}
      prefix={<span className="quiet">{axis === 'x' ? '→' : '↓'}</span>}
      aria-label={`${labelOf(drawn, handle)}, ${axis === 'x' ? 'from the left edge' : 'from the top edge'}, in ${unit}`}
      value={typed ?? shown}
      status={parsed === null ? 'error' : ''}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onPressEnter={keep}
      onKeyDown={(event) => event.key === 'Escape' && setTyped(null)}
    />
  )
}
