/**
 * A picture as a worker painted it; what its place has no room for is cut off at both sides.
 *
 * An image, not a canvas: the browser lays every canvas anew whenever anything beside it moves, and a wall of them took
 * every fourth frame from the hand.
 */
import { useEffect, useState } from 'react'
import { TILE } from './wall-picture.ts'

interface WallImageProps {
  readonly picture: Blob
  readonly label: string
  readonly clothHex: string
}

export function WallImage({ picture, label, clothHex }: WallImageProps) {
  const [url, setUrl] = useState<string>()
  useEffect(() => {
    const made = URL.createObjectURL(picture)
    setUrl(made)
    return () => URL.revokeObjectURL(made)
  }, [picture])
  return <img src={url} alt={label} decoding="sync" style={{ height: TILE.heightPx, background: clothHex }} />
}
