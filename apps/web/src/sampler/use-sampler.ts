import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { useOutletContext } from 'react-router'
import { useAppSelector } from '../store/index.ts'

/** The sampler that the stage shows. */
export const useSampler = (): Sampler => useOutletContext<Sampler>()

export function useSelectedExercise(sampler: Sampler): Exercise | null {
  const selected = useAppSelector((state) => state.sampler.selected)
  return sampler.exercises.find((exercise) => exercise.id === selected) ?? null
}
