/**
 * A picture as a worker painted it; what its place has no room for is cut off at both sides.
 *
 * An image, not a canvas: the browser lays every canvas anew whenever anything beside it moves, and a wall of them took
 * every fourth frame from the hand.
 */
import { useLayoutEffect, useRef } from 'react'
import { holdUrl } from './file-url.ts'
import { TILE, type TilePicture } from './wall-picture.ts'

interface WallImageProps {
  readonly picture: TilePicture
  readonly label: string
  readonly clothHex: string
}

export function WallImage({ picture: { file, top, ratio }, label, clothHex }: WallImageProps) {
  const image = useRef<HTMLImageElement>(null)
  // Written by hand: to draw the tile a second time for it took as long as the first.
  useLayoutEffect(() => {
    const held = holdUrl(file)
    if (image.current) image.current.srcset = `${held.url} ${ratio}x`
    return held.release
  }, [file, ratio])
  return <img ref={image} alt={label} decoding="sync" style={{ height: TILE.heightPx, background: clothHex, objectPosition: `50% ${-top}px` }} />
}
