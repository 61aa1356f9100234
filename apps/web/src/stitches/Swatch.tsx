/** A stitch on the wall: worked, at twice its true size. */
import type { StitchDocument } from '@lemmata/core/notation'
import { Slope } from '../look/Glyphs.tsx'
import { memo } from 'react'
import { TILE, type WallPicture } from './wall-picture.ts'
import { WallImage } from './WallImage.tsx'

interface SwatchProps {
  readonly document: StitchDocument
  /** Undefined while it is being worked. */
  readonly shown: WallPicture | undefined
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

export const Swatch = memo(function Swatch({ document, shown, side, clothHex, letters, own, isStop, pressed, onChoose, isCompared, onCompare }: SwatchProps) {
  return (
    <div className="swatch-box">
      <button type="button" className="swatch" data-stitch={document.id} tabIndex={isStop ? 0 : -1} aria-pressed={pressed} onClick={() => onChoose(document)}>
        {shown?.picture ? (
          <WallImage picture={shown.picture} label={`${document.name}, worked, ${side}`} clothHex={clothHex} />
        ) : (
          <span style={{ height: TILE.heightPx, background: clothHex }} />
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
          {shown && (shown.facts.ok ? <Slope score={shown.facts.value.score} bare /> : <span className="wrong">cannot be worked here</span>)}
        </span>
      </button>
      {/* Plain: a kept component each took a fifth of the wall's time. */}
      <button
        type="button"
        className="compare-button"
        tabIndex={isStop ? 0 : -1}
        aria-pressed={isCompared}
        onClick={() => onCompare(document)}
        aria-label={`Lay ${document.name} beside others`}
        title="Lay beside"
      >
        {isCompared ? '✓' : '+'}
      </button>
    </div>
  )
})
