/** A colour by its name and its figure, and how it is seen on cloth. */
import { contrast } from '@lemmata/core/materials'
import type { Colour } from '@lemmata/core/sampler'
import { ColorPicker } from 'antd'
import { PALETTE } from '../brief/palette.ts'
import { TextField } from '../sampler/fields.tsx'

export function ColourFields({ colour, onChange }: { readonly colour: Colour; readonly onChange: (colour: Colour) => void }) {
  return (
    <div className="colour-fields">
      <ColorPicker
        value={colour.hex}
        disabledAlpha
        presets={[{ label: 'Named colours', key: 'named', colors: PALETTE.map((one) => one.hex) }]}
        onChangeComplete={(chosen) => {
          const hex = chosen.toHexString().slice(0, 7)
          onChange(PALETTE.find((one) => one.hex.toLowerCase() === hex.toLowerCase()) ?? { ...colour, hex })
        }}
      />
      <TextField label="Colour, by your own name" value={colour.name} onChange={(name) => name !== '' && onChange({ ...colour, name })} />
    </div>
  )
}

/** WCAG: 3 for what must be seen, 4.5 for what is read; a demonstration is watched from the back of a room. */
const SEEN = 3
const SHOWN = 4.5

/** The thread on each cloth, true colours, with what it comes to. */
export function OnCloths({ hex, cloths }: { readonly hex: string; readonly cloths: readonly Colour[] }) {
  return (
    <ul className="on-cloths" aria-label="How it is seen on cloth">
      {cloths.map((cloth) => {
        const ratio = contrast(hex, cloth.hex)
        const word = ratio >= SHOWN ? 'good to show with' : ratio >= SEEN ? 'seen well' : ratio >= 1.5 ? 'quiet' : 'hardly seen'
        return (
          <li key={`${cloth.name} ${cloth.hex}`}>
            <svg width="44" height="18" viewBox="0 0 44 18" aria-hidden="true">
              <rect width="44" height="18" rx="3" fill={cloth.hex} />
              <path d="M5 9 H39" stroke={hex} strokeWidth="3" strokeDasharray="8 5" strokeLinecap="round" />
            </svg>
            <span>
              {cloth.name}: {ratio.toFixed(1)}, {word}
            </span>
          </li>
        )
      })}
    </ul>
  )
}
