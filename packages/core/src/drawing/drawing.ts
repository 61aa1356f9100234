/**
 * One drawing for screen, SVG and PDF: strokes, fills, discs and text in millimetres, in named layers, drawn
 * in the order in which they stand. Unrounded; only a writer rounds.
 */
import type { Point } from '../geometry/index.ts'

export type Face = 'text' | 'text-bold' | 'heading'

export interface Stroke {
  readonly kind: 'stroke'
  /** One or more polylines that share a style. */
  readonly paths: readonly (readonly Point[])[]
  readonly widthMm: number
  readonly colour: string
  readonly opacity?: number
  readonly cap?: 'butt' | 'round'
  readonly closed?: boolean
  readonly dashMm?: readonly number[]
}

export interface Fill {
  readonly kind: 'fill'
  readonly points: readonly Point[]
  /** Further outlines of the same fill, turning the same way: where they overlap they do not darken one another. */
  readonly also?: readonly (readonly Point[])[]
  readonly colour: string
  readonly opacity?: number
}

export interface Disc {
  readonly kind: 'disc'
  readonly at: Point
  readonly radiusMm: number
  readonly fill?: string
  readonly stroke?: { readonly colour: string; readonly widthMm: number }
  readonly opacity?: number
}

/** A ring lit from one side: its colour fades along a straight line across it, as light on a round thing does. */
export interface Ring {
  readonly kind: 'ring'
  readonly at: Point
  readonly radiusMm: number
  readonly widthMm: number
  /** Where the light goes, a unit vector. */
  readonly along: Point
  /** 0 on the near side of that line, 1 on the far side. */
  readonly stops: readonly { readonly offset: number; readonly colour: string; readonly opacity: number }[]
}

export interface Words {
  readonly kind: 'words'
  readonly at: Point
  readonly text: string
  /** Height of the type, mm. */
  readonly sizeMm: number
  readonly face: Face
  readonly colour: string
  readonly align?: 'left' | 'middle' | 'right'
}

/** Items of which nothing is shown outside a frame. */
export interface Clipped {
  readonly kind: 'clipped'
  readonly left: number
  readonly top: number
  readonly widthMm: number
  readonly heightMm: number
  readonly items: readonly DrawingItem[]
}

/** As in a tagged PDF; a tick is an item of a list with a box before it, an entry is a place to write a figure. */
export type Tag = 'H1' | 'H2' | 'P' | 'LI' | 'Lbl' | 'LBody' | 'Figure' | 'TR' | 'TH' | 'TD' | 'Tick' | 'Entry'

/** What its items are, for whoever has them read aloud or reads them as a page of the web. What has no tag is ornament. */
export interface Tagged {
  readonly kind: 'tagged'
  readonly tag: Tag
  /** What a figure shows. */
  readonly alt?: string
  /** A figure's place. */
  readonly frame?: Frame
  readonly items: readonly DrawingItem[]
}

export interface Frame {
  readonly left: number
  readonly top: number
  readonly widthMm: number
  readonly heightMm: number
}

export type DrawingItem = Stroke | Fill | Disc | Ring | Words | Clipped | Tagged

export interface Layer {
  readonly name: string
  /** Nothing of this layer is shown outside it. */
  readonly clip?: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number }
  readonly items: readonly DrawingItem[]
}

export interface Drawing {
  /** The part of the plane that is shown. */
  readonly left: number
  readonly top: number
  readonly widthMm: number
  readonly heightMm: number
  readonly layers: readonly Layer[]
}

/** The same drawing moved; text and widths keep their size. */
export function moveItems(items: readonly DrawingItem[], by: Point): readonly DrawingItem[] {
  const moved = (at: Point): Point => ({ x: at.x + by.x, y: at.y + by.y })
  return items.map((item): DrawingItem => {
    switch (item.kind) {
      case 'stroke':
        return { ...item, paths: item.paths.map((path) => path.map(moved)) }
      case 'fill':
        return { ...item, points: item.points.map(moved), ...(item.also ? { also: item.also.map((one) => one.map(moved)) } : {}) }
      case 'disc':
      case 'ring':
      case 'words':
        return { ...item, at: moved(item.at) }
      case 'clipped':
        return { ...item, left: item.left + by.x, top: item.top + by.y, items: moveItems(item.items, by) }
      case 'tagged':
        return { ...inFrame(item, (frame) => ({ ...frame, left: frame.left + by.x, top: frame.top + by.y })), items: moveItems(item.items, by) }
    }
  })
}

const OTHER_SIDE = { left: 'right', middle: 'middle', right: 'left' } as const

/** Left for right about an upright line; words are still read as words. */
export function mirrorItems(items: readonly DrawingItem[], aboutX: number): readonly DrawingItem[] {
  const mirrored = (at: Point): Point => ({ x: 2 * aboutX - at.x, y: at.y })
  return items.map((item): DrawingItem => {
    switch (item.kind) {
      case 'stroke':
        return { ...item, paths: item.paths.map((path) => path.map(mirrored)) }
      case 'fill':
        return { ...item, points: item.points.map(mirrored), ...(item.also ? { also: item.also.map((one) => one.map(mirrored)) } : {}) }
      case 'ring':
        return { ...item, at: mirrored(item.at), along: { x: -item.along.x, y: item.along.y } }
      case 'words':
        return { ...item, at: mirrored(item.at), align: OTHER_SIDE[item.align ?? 'left'] }
      case 'disc':
        return { ...item, at: mirrored(item.at) }
      case 'clipped':
        return { ...item, left: 2 * aboutX - item.left - item.widthMm, items: mirrorItems(item.items, aboutX) }
      case 'tagged':
        return { ...inFrame(item, (frame) => ({ ...frame, left: 2 * aboutX - frame.left - frame.widthMm })), items: mirrorItems(item.items, aboutX) }
    }
  })
}

/** Scaled about the origin: geometry and widths, for diagrams at a stated scale. Text keeps its size. */
export function scaleItems(items: readonly DrawingItem[], by: number): readonly DrawingItem[] {
  const scaled = (at: Point): Point => ({ x: at.x * by, y: at.y * by })
  return items.map((item): DrawingItem => {
    switch (item.kind) {
      case 'stroke':
        return {
          ...item,
          widthMm: item.widthMm * by,
          paths: item.paths.map((path) => path.map(scaled)),
          ...(item.dashMm ? { dashMm: item.dashMm.map((dash) => dash * by) } : {}),
        }
      case 'fill':
        return { ...item, points: item.points.map(scaled), ...(item.also ? { also: item.also.map((one) => one.map(scaled)) } : {}) }
      case 'ring':
        return { ...item, at: scaled(item.at), radiusMm: item.radiusMm * by, widthMm: item.widthMm * by }
      case 'disc':
        return {
          ...item,
          at: scaled(item.at),
          radiusMm: item.radiusMm * by,
          ...(item.stroke ? { stroke: { ...item.stroke, widthMm: item.stroke.widthMm * by } } : {}),
        }
      case 'words':
        return { ...item, at: scaled(item.at) }
      case 'clipped':
        return {
          ...item,
          left: item.left * by,
          top: item.top * by,
          widthMm: item.widthMm * by,
          heightMm: item.heightMm * by,
          items: scaleItems(item.items, by),
        }
      case 'tagged':
        return { ...inFrame(item, (frame) => scaledFrame(frame, by)), items: scaleItems(item.items, by) }
    }
  })
}

const inFrame = (item: Tagged, change: (frame: Frame) => Frame): Tagged => (item.frame ? { ...item, frame: change(item.frame) } : item)

const scaledFrame = ({ left, top, widthMm, heightMm }: Frame, by: number): Frame => ({
  ...{ left: left * by, top: top * by, widthMm: widthMm * by, heightMm: heightMm * by },
})

/** Said of items, as of one thing. */
export const tagged = (tag: Tag, items: readonly DrawingItem[], more: Pick<Tagged, 'alt' | 'frame'> = {}): Tagged => ({ kind: 'tagged', tag, ...more, items })
