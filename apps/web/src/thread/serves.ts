/** How a needle serves, in words. */
export const SERVES = { best: 'best', good: 'good', 'with-care': 'with care' } as const
