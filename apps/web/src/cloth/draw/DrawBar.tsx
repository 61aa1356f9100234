/** The tool in hand: how it is used, its places and figures to be typed, and the stitch it is worked in. */
import { MEASURE, unknownLetters } from '@lemmata/core/draw'
import { type Guide, guideServes } from '@lemmata/core/guide'
import type { Point } from '@lemmata/core/geometry'
import { middleOf } from '@lemmata/core/layout'
import type { Sampler } from '@lemmata/core/sampler'
import { allStitches } from '@lemmata/core/stitches'
import type { LengthUnit } from '@lemmata/core/units'
import { Button, Input, Select } from 'antd'
import { useEffect, useMemo, useRef, useState } from 'react'
import { LengthField, NumberField } from '../../sampler/fields.tsx'
import { measuredInWords } from './DrawOverlay.tsx'
import { placesText, readPlaces } from './places-text.ts'
import type { Drawing } from './use-drawing.ts'

interface Props {
  readonly sampler: Sampler
  readonly drawing: Drawing
  /** Null: nothing yet, a sketch. */
  readonly stitch: string | null
  readonly onStitch: (stitch: string | null) => void
  /** What is held, to be measured along. */
  readonly along: Guide | null
  readonly onDone: () => void
  readonly onClose: () => void
}

export function DrawBar({ sampler, drawing, stitch, onStitch, along, onDone, onClose }: Props) {
  const { tool, figures } = drawing
  const field = useRef<HTMLDivElement>(null)
  // What is typed goes on where the hand is.
  useEffect(() => field.current?.querySelector<HTMLElement>('input')?.focus(), [tool])
  const { units } = sampler
  const middle = useMemo(() => middleOf(sampler), [sampler])
  const stitches = allStitches(sampler.stitches).filter((one) => guideServes(one.guide, tool.kind))
  return (
    <div className="draw-bar" role="region" aria-label={tool === MEASURE ? 'Measuring' : `Drawing: ${tool.name}`}>
      <p className="draw-how">
        <b>{tool.name}</b> {tool.how}
      </p>
      <div className="draw-fields">
        <div ref={field} className="draw-places">
          {tool.words !== undefined && <WordsField drawing={drawing} onDone={onDone} />}
          <PlacesField key={tool.id} drawing={drawing} unit={units} middle={middle} onDone={onDone} />
        </div>
        {tool.figures.map((figure) =>
          figure.kind === 'length' ? (
            <LengthField
              key={figure.id}
              label={figure.name}
              valueMm={figures[figure.id] ?? figure.usual}
              unit={units}
              min={figure.min}
              max={figure.max}
              onChange={(mm) => drawing.setFigure(figure.id, mm)}
            />
          ) : (
            <NumberField
              key={figure.id}
              label={figure.name}
              value={figures[figure.id] ?? figure.usual}
              min={figure.min}
              max={figure.max}
              step={figure.kind === 'share' ? 0.05 : 1}
              {...(figure.kind === 'angle' ? { suffix: '°' } : {})}
              onChange={(value) => drawing.setFigure(figure.id, value)}
            />
          ),
        )}
        {tool !== MEASURE && (
          <div className="field draw-stitch">
            <label htmlFor="draw-stitch">Worked in</label>
            <Select
              id="draw-stitch"
              value={stitch ?? ''}
              showSearch={{ optionFilterProp: 'label' }}
              popupMatchSelectWidth={false}
              options={[{ value: '', label: 'nothing yet: a sketch' }, ...stitches.map((one) => ({ value: one.id, label: one.name }))]}
              onChange={(id: string) => onStitch(id === '' ? null : id)}
            />
          </div>
        )}
        <span className="draw-buttons">
          {tool === MEASURE ? (
            <output className="measured">{measuredInWords(drawing, units, null, along)}</output>
          ) : (
            <Button type="primary" disabled={drawing.finished().length === 0} onClick={onDone}>
              Draw it
            </Button>
          )}
          <Button onClick={onClose}>Put away</Button>
        </span>
      </div>
    </div>
  )
}

function WordsField({ drawing, onDone }: { drawing: Drawing; onDone: () => void }) {
  const unknown = unknownLetters(drawing.words)
  return (
    <div className="field">
      <label htmlFor="draw-words">{drawing.tool.words}</label>
      <Input
        id="draw-words"
        value={drawing.words}
        maxLength={60}
        placeholder="MARCH"
        aria-invalid={unknown.length > 0}
        status={unknown.length > 0 ? 'error' : ''}
        onChange={(event) => drawing.setWords(event.target.value)}
        onPressEnter={() => {
          if (drawing.finished().length > 0) onDone()
        }}
      />
      {unknown.length > 0 && <span className="wrong">{unknown.join(' ')} cannot be drawn in straight stitches</span>}
    </div>
  )
}

interface PlacesProps {
  readonly drawing: Drawing
  readonly unit: LengthUnit
  /** From which angles are said. */
  readonly middle: Point
  readonly onDone: () => void
}

function PlacesField({ drawing, unit, middle, onDone }: PlacesProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const read = typed === null ? null : readPlaces(typed, unit, middle)
  const wrong = typed !== null && read === null
  const { tool } = drawing
  return (
    <div className="field">
      <label htmlFor="draw-places">{tool.asks}</label>
      <Input
        id="draw-places"
        placeholder={tool.least === 1 ? '60, 40' : '20, 40; 100, 40'}
        title="From the left edge, from the top edge; @80, 0 is so far on from the one before; 30<45 is 30 out from the middle at 45 degrees from the top"
        value={typed ?? (drawing.places.length > 12 ? `${drawing.places.length} places` : placesText(drawing.places, unit))}
        status={wrong ? 'error' : ''}
        aria-invalid={wrong}
        onChange={(event) => {
          setTyped(event.target.value)
          const places = readPlaces(event.target.value, unit, middle)
          if (places) drawing.typePlaces(tool.places === null ? places : places.slice(0, tool.places))
        }}
        onBlur={() => !wrong && setTyped(null)}
        onPressEnter={() => {
          if (drawing.finished().length === 0) return
          setTyped(null)
          onDone()
        }}
      />
      {wrong && <span className="wrong">Two numbers a place, places apart by ;</span>}
    </div>
  )
}
