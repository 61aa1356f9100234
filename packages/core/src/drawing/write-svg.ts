/** A drawing as an SVG document in millimetres, layers as named groups. Numbers are rounded here and only here. */
import type { Point } from '../geometry/index.ts'
import type { Drawing, DrawingItem, Face, Ring } from './drawing.ts'

const FAMILY: Readonly<Record<Face, string>> = { text: 'Source Sans 3, sans-serif', 'text-bold': 'Source Sans 3, sans-serif', heading: 'Alegreya, serif' }

/** Microns: nothing finer can be drawn or seen. */
const show = (value: number): string => String(Math.round(value * 1000) / 1000 + 0)

export function writeSvg(drawing: Drawing): string {
  const { left, top, widthMm, heightMm } = drawing
  const layers = drawing.layers.map((layer, index) => {
    const { clip } = layer
    const shape = clip
      ? `<clipPath id="clip${index}"><rect x="${show(clip.left)}" y="${show(clip.top)}" width="${show(clip.right - clip.left)}" height="${show(clip.bottom - clip.top)}"/></clipPath>`
      : ''
    return `${shape}<g id="${escapeText(layer.name)}"${clip ? ` clip-path="url(#clip${index})"` : ''}>${layer.items.map(writeItem).join('')}</g>`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${show(widthMm)}mm" height="${show(heightMm)}mm" viewBox="${[left, top, widthMm, heightMm].map(show).join(' ')}">${layers.join('\n')}</svg>\n`
}

/** Items without a document round them. */
export const writeItems = (items: readonly DrawingItem[]): string => items.map(writeItem).join('')

function writeItem(item: DrawingItem): string {
  const opacity = 'opacity' in item && item.opacity !== undefined ? ` opacity="${show(item.opacity)}"` : ''
  switch (item.kind) {
    case 'stroke':
      return `<path d="${item.paths.map((path) => pathData(path, item.closed ?? false)).join('')}" fill="none" stroke="${item.colour}" stroke-width="${show(item.widthMm)}" stroke-linecap="${item.cap ?? 'butt'}" stroke-linejoin="round"${item.dashMm ? ` stroke-dasharray="${item.dashMm.map(show).join(' ')}"` : ''}${opacity}/>`
    case 'fill':
      return `<path d="${[item.points, ...(item.also ?? [])].map((one) => pathData(one, true)).join('')}" fill="${item.colour}"${opacity}/>`
    case 'disc':
      return `<circle cx="${show(item.at.x)}" cy="${show(item.at.y)}" r="${show(item.radiusMm)}" fill="${item.fill ?? 'none'}"${item.stroke ? ` stroke="${item.stroke.colour}" stroke-width="${show(item.stroke.widthMm)}"` : ''}${opacity}/>`
    case 'ring': {
      const { at, along, radiusMm, widthMm, stops } = item
      const reach = radiusMm + widthMm / 2
      const end = (by: number): string => `${show(at.x + along.x * reach * by)}" y${by < 0 ? 1 : 2}="${show(at.y + along.y * reach * by)}`
      const id = `ring${ringKey(item)}`
      const shown = stops.map((stop) => `<stop offset="${show(stop.offset)}" stop-color="${stop.colour}" stop-opacity="${show(stop.opacity)}"/>`).join('')
      return `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${end(-1)}" x2="${end(1)}">${shown}</linearGradient><circle cx="${show(at.x)}" cy="${show(at.y)}" r="${show(radiusMm)}" fill="none" stroke="url(#${id})" stroke-width="${show(widthMm)}"/>`
    }
    case 'clipped': {
      const { left, top, widthMm, heightMm, items } = item
      const id = `frame${[left, top, widthMm, heightMm]
        .map(show)
        .join('_')
        .replace(/[^\w-]/g, '-')}`
      return `<clipPath id="${id}"><rect x="${show(left)}" y="${show(top)}" width="${show(widthMm)}" height="${show(heightMm)}"/></clipPath><g clip-path="url(#${id})">${items.map(writeItem).join('')}</g>`
    }
    case 'tagged':
      return writeItems(item.items)
    case 'words':
      return `<text x="${show(item.at.x)}" y="${show(item.at.y)}" font-family="${FAMILY[item.face]}" font-size="${show(item.sizeMm)}"${item.face === 'text-bold' ? ' font-weight="600"' : ''} fill="${item.colour}" text-anchor="${item.align === 'middle' ? 'middle' : item.align === 'right' ? 'end' : 'start'}">${escapeText(item.text)}</text>`
  }
}

/** Rings that are the same share the name of their gradient. */
function ringKey({ at, radiusMm, widthMm, stops }: Ring): string {
  return [at.x, at.y, radiusMm, widthMm, ...stops.flatMap((stop) => [stop.offset, stop.colour, stop.opacity])].join('_').replace(/[^\w-]/g, '-')
}

function pathData(points: readonly Point[], closed: boolean): string {
  return `${points.map((at, index) => `${index === 0 ? 'M' : 'L'}${show(at.x)} ${show(at.y)}`).join('')}${closed ? 'Z' : ''}`
}

export function escapeText(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`)
}
