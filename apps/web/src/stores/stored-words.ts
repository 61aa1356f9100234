/** What is kept, in words: what it is called, how much of it there is, what it costs. */
import { findClothKind, findNeedle, kindOf, NEEDLE_FAMILIES, nameThread } from '@lemmata/core/materials'
import type { ShelfName, Shelves, Stored } from '@lemmata/core/stores'
import { capitalised, counted, formatThread } from '@lemmata/core/units'

export const SHELF_WORDS: Readonly<Record<ShelfName, { readonly title: string; readonly one: string }>> = {
  threads: { title: 'Thread', one: 'thread' },
  needles: { title: 'Needles', one: 'needle' },
  cloths: { title: 'Cloth', one: 'cloth' },
  hoops: { title: 'Hoops', one: 'hoop' },
  tools: { title: 'Tools', one: 'tool' },
}

/** Of what kind it is. */
export function kindInWords(shelf: ShelfName, item: Stored): string {
  switch (shelf) {
    case 'threads': {
      const kind = kindOf(item as Shelves['threads'])
      return kind ? nameThread(kind).toLowerCase() : (item as Shelves['threads']).kind
    }
    case 'needles': {
      const { kind, size, shaftMm } = item as Shelves['needles']
      const shaft = shaftMm ?? findNeedle(kind, size)?.shaftMm
      const family = NEEDLE_FAMILIES.find((one) => one.id === kind)
      return `${shaft === undefined ? '' : `${shaft.toFixed(2)} mm, `}${family?.point ?? ''}${shaftMm === undefined ? '' : ', measured'}`
    }
    case 'cloths': {
      const { kind } = item as Shelves['cloths']
      return findClothKind(kind)?.name.toLowerCase() ?? kind
    }
    case 'hoops':
      return (item as Shelves['hoops']).shape
    case 'tools':
      return ''
  }
}

export function nameInWords(shelf: ShelfName, item: Stored): string {
  switch (shelf) {
    case 'threads':
      return (item as Shelves['threads']).colour.name
    case 'needles': {
      const { kind, size } = item as Shelves['needles']
      return `${NEEDLE_FAMILIES.find((one) => one.id === kind)?.name ?? kind} ${size}`
    }
    case 'cloths':
      return (item as Shelves['cloths']).colour.name
    case 'hoops': {
      const { shape, sizeMm } = item as Shelves['hoops']
      return shape === 'round' ? `Hoop, ${sizeMm[0]} mm` : `${capitalised(shape)}, ${sizeMm[0]} by ${sizeMm[1]} mm`
    }
    case 'tools':
      return (item as Shelves['tools']).name
  }
}

/** "12.40 m, 1.6 skeins", "3". */
export function leftInWords(shelf: ShelfName, item: Stored): string {
  if (item.left === 0) return 'none left'
  if (shelf === 'cloths') return `${(item.left / 1000).toFixed(2)} m`
  if (shelf !== 'threads') return String(item.left)
  const { putUp } = kindOf(item as Shelves['threads']) ?? {}
  if (!putUp) return formatThread(item.left)
  const many = Number((item.left / putUp.lengthMm).toFixed(1))
  return `${formatThread(item.left)}, ${counted(many, putUp.word)}`
}

/** Of what the price is. */
export function pricedBy(shelf: ShelfName, item: Stored): string {
  if (shelf === 'cloths') return 'a metre'
  if (shelf !== 'threads') return 'each'
  const putUp = kindOf(item as Shelves['threads'])?.putUp
  return putUp ? `a ${putUp.word} of ${putUp.lengthMm / 1000} m` : 'each'
}

export function priceInWords(price: number, currency: string): string {
  try {
    return new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(price)
  } catch {
    return `${price.toFixed(2)} ${currency}`
  }
}
