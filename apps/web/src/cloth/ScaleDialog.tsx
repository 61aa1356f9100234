/** The screen's scale, set once by matching a bar with a bank card or a ruler. */
import { Modal, Segmented, Slider } from 'antd'
import { useState } from 'react'
import { DYES } from '../look/theme.ts'

const THINGS = { card: { label: 'A bank card', mm: 85.6 }, ruler: { label: 'A ruler, 100 mm', mm: 100 } } as const

export function ScaleDialog({ open, pxPerMm, onKeep, onClose }: { open: boolean; pxPerMm: number; onKeep: (pxPerMm: number) => void; onClose: () => void }) {
  const [scale, setScale] = useState(pxPerMm)
  const [thing, setThing] = useState<keyof typeof THINGS>('card')
  const width = THINGS[thing].mm * scale
  return (
    <Modal open={open} title="True size on this screen" okText="It matches" onOk={() => onKeep(scale)} onCancel={onClose} width={620}>
      <p>Hold it against the screen and move the slider until the bar is exactly as long.</p>
      <Segmented
        value={thing}
        onChange={(value) => setThing(value)}
        options={Object.entries(THINGS).map(([value, { label }]) => ({ value: value as keyof typeof THINGS, label }))}
      />
      <svg width="100%" height="70" style={{ marginTop: 14, display: 'block' }} role="img" aria-label={`A bar of ${THINGS[thing].mm} millimetres`}>
        <rect x="1" y="12" width={width} height="46" rx="5" fill={DYES.linen} stroke={DYES.indigo} strokeWidth="1.5" />
      </svg>
      <Slider min={2} max={9} step={0.01} value={scale} onChange={setScale} ariaLabelForHandle="Pixels to the millimetre" />
    </Modal>
  )
}
