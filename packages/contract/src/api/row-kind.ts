import type { RowKind } from '@lemmata/core/photo'
import { z } from 'zod'

export const rowKind = z.enum(['apart', 'end-to-end', 'beside-the-last', 'looped', 'crossed', 'side-by-side']) satisfies z.ZodType<RowKind>
