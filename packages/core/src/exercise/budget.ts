/**
 * How much thread is worked at most: a few kilobytes of document may ask for more than a machine holds. Counted in segments, of which a
 * stitch has two or three. The largest samplers that people make have fewer than a fifth of it.
 */
export const MOST_SEGMENTS = { exercise: 200_000, sampler: 500_000 } as const
