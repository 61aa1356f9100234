/** A stitch on the wall: worked, at twice its true size, so that widths can be compared; what has no room is drawn smaller. */
import type { StitchDocument } from '@lemmata/core/notation'
import { Button } from 'antd'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { Slope } from '../look/Glyphs.tsx'
import type { Wall } from './use-wall.ts'

const SWATCH_PX_PER_MM = 7.6

interface SwatchProps {
  readonly document: StitchDocument
  readonly wall: Wall
  readonly side: 'front' | 'back'
  readonly clothHex: string
  readonly letters: string
  readonly own: boolean
  readonly isStop: boolean
  readonly pressed: boolean
  readonly onChoose: () => void
  readonly isCompared: boolean
  readonly onCompare: () => void
}

const TILE_PX = 62

export function Swatch({ document, wall, side, clothHex, letters, own, isStop, pressed, onChoose, isCompared, onCompare }: SwatchProps) {
  const result = wall.results.get(document.id)
  return (
    <div className="swatch-box">
      <button type="button" className="swatch" data-stitch={document.id} tabIndex={isStop ? 0 : -1} aria-pressed={pressed} onClick={onChoose}>
        {result?.ok ? (
          <ThreadCanvas
            done={result.value}
            heightPx={TILE_PX}
            pxPerMm={SWATCH_PX_PER_MM}
            whole
            side={side}
            clothHex={clothHex}
            label={`${document.name}, worked, ${side}`}
          />
        ) : (
          <span style={{ height: TILE_PX, background: clothHex }} />
        )}
        {letters !== '' && (
          <span className="tab-letters">
            <span className="visually-hidden">taught as </span>
            {letters}
          </span>
        )}
        <span className="label">
          <span className="swatch-name" title={document.name}>
            {document.name}
          </span>
          {own && <span className="quiet">yours</span>}
          {result && (result.ok ? <Slope score={result.value.stitchDifficulty.score} bare /> : <span className="wrong">cannot be worked here</span>)}
        </span>
      </button>
      <Button
        size="small"
        type={isCompared ? 'primary' : 'text'}
        className="compare-button"
        tabIndex={isStop ? 0 : -1}
        aria-pressed={isCompared}
        onClick={onCompare}
        aria-label={`Lay ${document.name} beside others`}
        title="Lay beside"
      >
        {isCompared ? '✓' : '+'}
      </Button>
    </div>
  )
}
