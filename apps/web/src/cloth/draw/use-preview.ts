/** What is being drawn, worked in its stitch while the hand goes on: the newest at a time. */
import type { Surroundings } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Guide } from '@lemmata/core/guide'
import { layExercises } from '@lemmata/core/sampler'
import { useEffect, useRef, useState } from 'react'
import { workElsewhere } from '../../compute/workers.ts'

export function usePreview(
  guides: readonly Guide[],
  stitch: string | null,
  parameters: Readonly<Record<string, number>>,
  around: Surroundings,
): WorkedExercise | null {
  const [done, setDone] = useState<WorkedExercise | null>(null)
  const wanted = useRef<readonly Guide[] | null>(null)
  const working = useRef(false)
  useEffect(() => {
    wanted.current = stitch === null || guides.length === 0 ? null : guides
    if (!wanted.current || stitch === null) {
      setDone(null)
      return
    }
    if (working.current) return
    working.current = true
    const run = async (): Promise<void> => {
      for (let worked: readonly Guide[] | null = null; wanted.current && wanted.current !== worked; ) {
        worked = wanted.current
        const [laid] = layTogether(worked, stitch, parameters)
        const [result] = laid?.ok ? await workElsewhere([laid.value], around) : []
        if (wanted.current) setDone(result?.ok ? result.value : null)
      }
    }
    // A worker that broke: the outline is still there, and it is worked when it is put on the cloth.
    run()
      .catch(() => undefined)
      .finally(() => {
        working.current = false
      })
  }, [guides, stitch, parameters, around])
  return guides.length > 0 ? done : null
}

function layTogether(guides: readonly Guide[], stitch: string, parameters: Readonly<Record<string, number>>) {
  const drawn = guides.map((guide, index) => ({ id: `drawn-${index}`, guide }))
  return layExercises({
    exercises: [{ id: 'drawn', name: 'Drawn', stitch, parameters, on: drawn.map(({ id }) => ({ guide: id })) }],
    drawing: { guides: drawn, groups: [] },
  })
}
