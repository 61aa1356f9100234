import { byId, placeOf, putById, success } from '../../base/index.ts'
import type { KeptOrder } from '../types.ts'
import type { SamplerTools } from './tools.ts'

export interface KeepOrder {
  readonly kind: 'keep-order'
  readonly order: KeptOrder
  readonly at: number
}

export const keepOrder: SamplerTools<KeepOrder> = {
  apply: (sampler, { order, at }) => success({ ...sampler, keptOrders: putById(sampler.keptOrders, order, at) }),
  invert: (before, { order }) => {
    const was = byId(before.keptOrders, order.id)
    return was ? { kind: 'keep-order', order: was, at: placeOf(before.keptOrders, was.id) } : { kind: 'drop-order', id: order.id }
  },
}
