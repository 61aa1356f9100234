/** As much as one account has of each; more is a mistake or an attack. */
export const MOST_OF_ACCOUNT = { samplers: 500, stitches: 300, pictures: 60, rulerChecks: 400 } as const
