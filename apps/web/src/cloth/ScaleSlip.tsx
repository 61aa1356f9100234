/** A slip of paper on the table: at which scale the cloth is seen, nearer and further. */
import { Button } from 'antd'

/** What the view is asked to show. */
export type Wish = 'cloth' | 'hoop' | 'held' | 'true' | 'in' | 'out'

interface Props {
  /** Of true size. */
  readonly scale: number
  readonly side: 'front' | 'back'
  readonly onWish: (kind: Wish) => void
  readonly onSetScale: () => void
}

export function ScaleSlip({ scale, side, onWish, onSetScale }: Props) {
  return (
    <div className="scale-slip">
      {side === 'back' && <span className="slip-side">Back, as seen turning the cloth over</span>}
      <Button size="small" type="text" aria-label="Further" title="Further (−)" onClick={() => onWish('out')}>
        −
      </Button>
      <Button size="small" type="text" title="Set the scale of this screen" onClick={onSetScale}>
        <span data-testid="scale-note">{Math.abs(scale - 1) < 0.01 ? 'true size' : `${scale.toFixed(scale < 1 ? 2 : 1)} of true size`}</span>
      </Button>
      <Button size="small" type="text" aria-label="Closer" title="Closer (+)" onClick={() => onWish('in')}>
        +
      </Button>
    </div>
  )
}
