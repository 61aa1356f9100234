/** A stitch on the wall: worked, at twice its true size, so that widths can be compared; what has no room is drawn smaller. */
import type { StitchDocument } from '@lemmata/core/notation'
import { Button } from 'antd'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { Slope } from '../look/Glyphs.tsx'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { memo } from 'react'

const SWATCH_PX_PER_MM = 7.6

interface SwatchProps {
  readonly document: StitchDocument
  /** Undefined while it is being worked. */
  readonly result: Result<WorkedExercise> | undefined
  readonly side: 'front' | 'back'
  readonly clothHex: string
  readonly letters: string
  readonly own: boolean
  readonly isStop: boolean
  readonly pressed: boolean
  readonly onChoose: (document: StitchDocument) => void
  readonly isCompared: boolean
  readonly onCompare: (document: StitchDocument) => void
}

const TILE_PX = 62

export const Swatch = memo(function Swatch({ document, result, side, clothHex, letters, own, isStop, pressed, onChoose, isCompared, onCompare }: SwatchProps) {
  return (
    <div className="swatch-box">
      <button type="button" className="swatch" data-stitch={document.id} tabIndex={isStop ? 0 : -1} aria-pressed={pressed} onClick={() => onChoose(document)}>
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
        onClick={() => onCompare(document)}
        aria-label={`Lay ${document.name} beside others`}
        title="Lay beside"
      >
        {isCompared ? '✓' : '+'}
      </Button>
    </div>
  )
})
