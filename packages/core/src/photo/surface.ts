/** Surfaces of the second degree over a picture: how light or colour changes across it. `u`, `v`: from -1 to 1 across and down. */

export const bends = (u: number, v: number): readonly number[] => [1, u, v, u * u, u * v, v * v]

/** `surface`: the factors of the bends, in their order. */
export const valueAt = (surface: readonly number[], u: number, v: number): number =>
  (surface[0] ?? 0) + (surface[1] ?? 0) * u + (surface[2] ?? 0) * v + (surface[3] ?? 0) * u * u + (surface[4] ?? 0) * u * v + (surface[5] ?? 0) * v * v
