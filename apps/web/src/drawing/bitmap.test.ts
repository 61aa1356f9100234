import { describe, expect, it } from 'vitest'
import { bitmapOf } from './bitmap.ts'

describe('pixels as an image file', () => {
  it('says its size, where its pixels are, and that the first row is the topmost', () => {
    const view = new DataView(bitmapOf({ width: 3, height: 2 }, [new Uint8ClampedArray(24)]))
    // Worked by hand: 54 bytes of heads, two rows of nine bytes filled up to twelve.
    expect([view.getUint16(0), view.getUint32(2, true), view.getUint32(10, true)]).toEqual([0x42_4d, 54 + 24, 54])
    expect([view.getInt32(18, true), view.getInt32(22, true), view.getUint16(28, true)]).toEqual([3, -2, 24])
  })

  it('has each pixel as blue, green, red, and begins each row on a whole word', () => {
    const data = new Uint8ClampedArray([1, 2, 3, 255, 4, 5, 6, 255, 7, 8, 9, 255, 10, 11, 12, 255])
    const bytes = new Uint8Array(bitmapOf({ width: 2, height: 2 }, [data])).slice(54)
    expect([...bytes]).toEqual([3, 2, 1, 6, 5, 4, 0, 0, 9, 8, 7, 12, 11, 10, 0, 0])
  })
})
