/** What a sampler begins with when nothing else was said. */
import { CLOTH_KINDS, type ClothKind, findClothKind, HOOP_SIZES } from '../materials/index.ts'
import type { Brief, OverruledWays, Sampler, SamplerCloth, WaysOfWorking } from './types.ts'

export const USUAL_WAYS: WaysOfWorking = {
  threadStart: 'away-knot',
  threadEnd: 'woven-under',
  needlefulMm: 450,
  split: 'from-below',
  satin: 'wrapped',
  satinOutline: 'before',
  stemThread: 'right',
  fillThenOutline: true,
  needle: 'usual',
  handling: 'stab',
}

export const USUAL_BRIEF: Brief = {
  level: 'beginner',
  learners: 8,
  leftHanded: 1,
  sparePercent: 10,
  lessonMinutes: 90,
  homeMinutesPerWeek: 45,
  waysOfWorking: USUAL_WAYS,
}

export function usualCloth(kindId = 'calico'): SamplerCloth {
  const kind = findClothKind(kindId) ?? (CLOTH_KINDS[0] as ClothKind)
  return {
    kind: kind.id,
    threadsPerCm: kind.threadsPerCm,
    thicknessMm: kind.thicknessMm,
    colour: { name: kind.name, hex: kind.hex },
    widthMm: 310,
    heightMm: 310,
  }
}

/** An empty sampler on calico in an eight-inch hoop, with one thread to begin with. */
export function newSampler(name: string): Sampler {
  const hoop = HOOP_SIZES.find((size) => size.inches === 8)
  return {
    format: 'lemmata-sampler',
    version: 2,
    name,
    units: 'mm',
    brief: USUAL_BRIEF,
    cloth: usualCloth(),
    ...(hoop ? { workingHoop: { shape: 'round', nominalMm: hoop.nominalMm, insideMm: hoop.insideMm, at: [155, 155] } } : {}),
    threads: [{ id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' } }],
    drawing: { guides: [], groups: [] },
    exercises: [],
    lessons: [],
    keptOrders: [],
    stitches: [],
  }
}

/** The ways of working that hold for an exercise: the brief's, unless overruled here. */
export function waysFor(brief: Pick<Brief, 'waysOfWorking'>, overruled: OverruledWays | undefined): WaysOfWorking {
  if (!overruled) return brief.waysOfWorking
  const given = Object.fromEntries(Object.entries(overruled).filter(([, value]) => value !== undefined))
  return { ...brief.waysOfWorking, ...given }
}
