/** What processes that serve ask of the one that leads them, and what it answers. `id`: of the question, among those of one process. */
import type { Problem } from '@lemmata/core/base'

export type ToLeader =
  /** All prints stand in one queue, so that an account has no more of them where more processes serve. */
  | { readonly kind: 'print'; readonly id: number; readonly account: string; readonly order: unknown }
  | { readonly kind: 'stop-print'; readonly id: number }
  /** Figures of all processes together. */
  | { readonly kind: 'figures'; readonly id: number }

export type FromLeader =
  | { readonly kind: 'share'; readonly id: number; readonly share: number }
  | { readonly kind: 'made'; readonly id: number; readonly pdf: Uint8Array }
  | { readonly kind: 'figures'; readonly id: number; readonly text: string }
  | { readonly kind: 'refused'; readonly id: number; readonly refusal: Refusal }

/** What stood in the way: to be said as it is where it has a status, else a fault. */
export interface Refusal {
  readonly message: string
  readonly known: {
    readonly status: number
    readonly code: string
    readonly more: Readonly<Record<string, unknown>>
    readonly problems: readonly Problem[]
  } | null
}
