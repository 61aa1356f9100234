import { success } from '../../base/index.ts'
import type { StoresTools } from './tools.ts'

export interface SetCurrency {
  readonly kind: 'set-currency'
  readonly currency: string
}

export const setCurrency: StoresTools<SetCurrency> = {
  apply: (stores, { currency }) => success({ ...stores, currency }),
  invert: (before) => ({ kind: 'set-currency', currency: before.currency }),
}
