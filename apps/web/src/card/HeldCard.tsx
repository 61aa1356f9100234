import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { useWorked } from '../compute/use-worked.ts'
import { useCourse } from '../order/use-course.ts'
import { useAppSelector } from '../store/index.ts'
import { SketchCard } from './SketchCard.tsx'
import { ExerciseCard } from './ExerciseCard.tsx'

/** The card of what is held, where one is held and the card is not closed. */
export function HeldCard({ sampler, stage }: { sampler: Sampler; stage: string }) {
  const selected = useAppSelector((state) => state.sampler.selected)
  const shown = useAppSelector((state) => state.sampler.cardShown)
  const { results } = useWorked()
  const course = useCourse(sampler)
  const order = teachingOrder(sampler)
  const at = order.findIndex((one) => one.id === selected)
  const exercise = order[at]
  const sketch = sampler.drawing.guides.find((one) => one.id === selected)
  if (sketch && shown && stage === 'cloth') return <SketchCard key={sketch.id} sampler={sampler} drawn={sketch} />
  if (!exercise || !shown) return <span />
  return <ExerciseCard sampler={sampler} exercise={exercise} letter={letterOf(at)} result={results.get(exercise.id) ?? null} course={course} stage={stage} />
}
