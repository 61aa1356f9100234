/** A picture as a worker painted it; what its place has no room for is cut off at both sides. */
import { useEffect, useRef } from 'react'
import { type Picture, TILE } from './wall-picture.ts'

export function WallCanvas({ picture, label }: { readonly picture: Picture; readonly label: string }) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width, height, pixels } = picture
  useEffect(() => ref.current?.getContext('2d')?.putImageData(new ImageData(pixels, width, height), 0, 0), [pixels, width, height])
  return <canvas ref={ref} width={width} height={height} role="img" aria-label={label} style={{ height: TILE.heightPx, width: '100%', objectFit: 'cover' }} />
}
