/** A row of numbers that is written on one side and read on the other, in the same order; words are numbers into a list. */
import type { Point3 } from '@lemmata/core/geometry'

export class NumberWriter {
  readonly words: unknown[] = []
  private readonly places = new Map<unknown, number>()
  private numbers = new Float64Array(1 << 12)
  private used = 0

  /** Numbers that will be written without asking for room. */
  room(count: number): void {
    if (this.used + count <= this.numbers.length) return
    const larger = new Float64Array(2 * (this.used + count))
    larger.set(this.numbers)
    this.numbers = larger
  }

  get at(): number {
    return this.used
  }

  put(value: number): void {
    this.numbers[this.used++] = value
  }

  /** Null is not a number, and no value here is. */
  putOrNull(value: number | null): void {
    this.numbers[this.used++] = value ?? NaN
  }

  /** A string, a truth, null, or something rare that travels whole. */
  putWord(value: unknown): void {
    let place = this.places.get(value)
    if (place === undefined) {
      place = this.words.length
      this.places.set(value, place)
      this.words.push(value)
    }
    this.numbers[this.used++] = place
  }

  putPlaces(places: readonly Point3[], deep: boolean): void {
    this.room(1 + 3 * places.length)
    this.put(places.length)
    for (const place of places) {
      this.put(place.x)
      this.put(place.y)
      if (deep) this.put(place.z)
    }
  }

  done(): Float64Array<ArrayBuffer> {
    return this.numbers.slice(0, this.used)
  }
}

export class NumberReader {
  constructor(
    private readonly numbers: Float64Array,
    private readonly words: readonly unknown[],
    private next: number,
  ) {}

  take(): number {
    return this.numbers[this.next++] as number
  }

  takeOrNull(): number | null {
    const value = this.numbers[this.next++] as number
    return Number.isNaN(value) ? null : value
  }

  /** What was put there: the writer's type is the reader's. */
  takeWord<Word>(): Word {
    return this.words[this.numbers[this.next++] as number] as Word
  }

  takePlaces(): { x: number; y: number }[] {
    const places = new Array<{ x: number; y: number }>(this.take())
    for (let at = 0; at < places.length; at += 1) places[at] = { x: this.take(), y: this.take() }
    return places
  }

  takeDeepPlaces(): Point3[] {
    const places = new Array<Point3>(this.take())
    for (let at = 0; at < places.length; at += 1) places[at] = { x: this.take(), y: this.take(), z: this.take() }
    return places
  }
}
