/** The part of this library that is used here. */
declare module 'poisson-disk-sampling' {
  export default class PoissonDiskSampling {
    constructor(options: { shape: readonly number[]; minDistance: number; maxDistance?: number; tries?: number }, random?: () => number)
    fill(): number[][]
  }
}
