/** The class that is open beside the sampler: found, made when the first learner comes, kept open while it is looked at. */
import type { ClassSummary } from '@lemmata/contract'
import type { ClassOperation, Learner } from '@lemmata/core/classes'
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { failedWith, useClassesQuery, useMakeClassMutation } from '../api/server-api.ts'
import { classOpened, type OpenClass } from '../store/class.ts'
import { classKey, editClass, useAppDispatch, useAppSelector } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { noticed } from '../store/sampler.ts'
import { unsentOf } from '../store/unsent.ts'

const NO_CLASSES: readonly ClassSummary[] = []

export interface ClassInPage {
  readonly classes: readonly ClassSummary[]
  /** Null while none is there or it is still on its way. */
  readonly open: OpenClass | null
  readonly choose: (id: string) => void
  /** Adds a learner, in a class made for her where there is none. Answers with the learner's id. */
  readonly addLearner: () => Promise<string | null>
  /** A class to write in: the open one, or one that is made. False where none could be made. */
  readonly ensure: () => Promise<boolean>
}

export function useClass(sampler: string): ClassInPage {
  const { data: classes = NO_CLASSES } = useClassesQuery(sampler, { skip: sampler === '' })
  const [make] = useMakeClassMutation()
  const [chosen, setChosen] = useState<string | null>(null)
  const open = useAppSelector((state) => state.class.open)
  const dispatch = useAppDispatch()
  const wanted = classes.some((one) => one.id === chosen) ? chosen : (classes[0]?.id ?? null)

  // It stays open when this stage is left, so that what was changed is sent; the page of the sampler closes it.
  const openId = useRef(open?.id)
  openId.current = open?.id
  useEffect(() => {
    if (wanted === null || wanted === openId.current) return
    let dropped = false
    Promise.all([api.group(wanted), unsentOf<ClassOperation>(classKey(wanted))]).then(
      ([answer, pending]) => {
        if (!dropped) dispatch(classOpened({ answer, pending }))
      },
      (error: unknown) => {
        if (!dropped) dispatch(noticed(sentenceOf(error)))
      },
    )
    return () => {
      dropped = true
    }
  }, [wanted, dispatch])

  const ensure = useCallback(async (): Promise<boolean> => {
    if (open) return true
    if (wanted !== null) return false
    const made = await make({ sampler, name: 'My class' })
    if (made.error) {
      dispatch(noticed(failedWith(made.error) ?? 'The class could not be made.'))
      return false
    }
    dispatch(classOpened({ answer: made.data, pending: [] }))
    return true
  }, [open, wanted, make, sampler, dispatch])

  const addLearner = useCallback(async (): Promise<string | null> => {
    const learner = (count: number): Learner => ({ id: newId('l'), name: `Learner ${count + 1}`, choices: {} })
    if (open) {
      const made = learner(open.document.learners.length)
      editClass({ kind: 'add-learner', learner: made, at: open.document.learners.length })
      return made.id
    }
    if (!(await ensure())) return null
    const first = learner(0)
    editClass({ kind: 'add-learner', learner: first, at: 0 })
    return first.id
  }, [open, ensure])

  return { classes, open: open?.id === wanted || wanted === null ? open : null, choose: setChosen, addLearner, ensure }
}
