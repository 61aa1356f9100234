/** What is being drawn, worked in its stitch while the hand goes on: the newest at a time. */
import type { Surroundings } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Guide } from '@lemmata/core/guide'
import { layAlone } from '@lemmata/core/sampler'
import { useEffect, useRef, useState } from 'react'
import { workElsewhere } from '../../compute/workers.ts'

export function usePreview(guide: Guide | null, stitch: string | null, around: Surroundings): WorkedExercise | null {
  const [done, setDone] = useState<WorkedExercise | null>(null)
  const wanted = useRef<Guide | null>(null)
  const working = useRef(false)
  useEffect(() => {
    wanted.current = stitch === null ? null : guide
    if (!wanted.current || stitch === null) {
      setDone(null)
      return
    }
    if (working.current) return
    working.current = true
    const run = async (): Promise<void> => {
      for (let worked: Guide | null = null; wanted.current && wanted.current !== worked; ) {
        worked = wanted.current
        const [result] = await workElsewhere([layAlone({ id: 'drawn', name: 'Drawn', stitch }, worked)], around)
        if (wanted.current) setDone(result?.ok ? result.value : null)
      }
    }
    // A worker that broke: the outline is still there, and it is worked when it is put on the cloth.
    run()
      .catch(() => undefined)
      .finally(() => {
        working.current = false
      })
  }, [guide, stitch, around])
  return guide ? done : null
}
