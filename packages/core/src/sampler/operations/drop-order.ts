import { byId, placeOf, success, withoutId } from '../../base/index.ts'
import { gone, type SamplerTools } from './tools.ts'

export interface DropOrder {
  readonly kind: 'drop-order'
  readonly id: string
}

export const dropOrder: SamplerTools<DropOrder> = {
  apply: (sampler, { id }) => (byId(sampler.keptOrders, id) ? success({ ...sampler, keptOrders: withoutId(sampler.keptOrders, id) }) : gone('order', id)),
  invert: (before, { id }) => {
    const order = byId(before.keptOrders, id)
    return order ? { kind: 'keep-order', order, at: placeOf(before.keptOrders, id) } : null
  },
}
