/** Solves small models off the page's thread; stopped by ending it. */
import { provenValues } from '@lemmata/core/together'
import { expose } from 'comlink'
import loadHighs from 'highs'
import wasm from 'highs/runtime?url'

const service = {
  /** By variable; null where there is no answer. */
  solve: async (lp: string): Promise<ReadonlyMap<string, number> | null> => provenValues((await loadHighs({ locateFile: () => wasm })).solve(lp)),
}

export type NeedleService = typeof service
expose(service)
