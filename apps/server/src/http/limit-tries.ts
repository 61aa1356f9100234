/** Tries that were not right, from one address in five minutes: so many, and then none for a while. Success is never counted. */
import { type RateLimitRequestHandler, rateLimit } from 'express-rate-limit'

/** `code`: of the answer, beside its sentence. `countsAll`: also those that were answered well. */
export function limitTries(most: number, code: string, { countsAll = false }: { readonly countsAll?: boolean } = {}): RateLimitRequestHandler {
  return rateLimit({
    windowMs: 5 * 60 * 1000,
    limit: most,
    skipSuccessfulRequests: !countsAll,
    standardHeaders: true,
    legacyHeaders: false,
    message: { error: { code, message: 'Too many tries. Wait five minutes and try again.' } },
  })
}
