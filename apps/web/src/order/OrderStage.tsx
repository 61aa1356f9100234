/** The ramp from first line to last knot: seen, ordered by hand or by Lemmata, with every reason. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { levelInWords } from '@lemmata/core/plan'
import { letterOf } from '@lemmata/core/sheets'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { Button, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { useSampler, useSelectedExercise } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { ChosenPanel } from './ChosenPanel.tsx'
import { FoundPanel } from './FoundPanel.tsx'
import { LayersPanel } from './LayersPanel.tsx'
import { LessonList } from './LessonList.tsx'
import { MotionsPanel } from './MotionsPanel.tsx'
import { RampChart } from './RampChart.tsx'
import { type Course, takePlan, useCourse } from './use-course.ts'
import { WishesPanel } from './WishesPanel.tsx'

const SIDES = [
  { value: 'find', label: 'Find' },
  { value: 'exercise', label: 'Exercise' },
  { value: 'motions', label: 'Motions' },
  { value: 'layers', label: 'Layers' },
  { value: 'wishes', label: 'Wishes' },
] as const
type Side = (typeof SIDES)[number]['value']

export function OrderStage() {
  const sampler = useSampler()
  const course = useCourse(sampler)
  const { done, busy } = useWorked()
  const selected = useAppSelector((state) => state.sampler.selected)
  const exercise = useSelectedExercise(sampler)
  const dispatch = useAppDispatch()
  const [side, setSide] = useState<Side>('find')
  const worked = useMemo(() => new Map(done.map((one): [string, WorkedExercise] => [one.exercise.id, one])), [done])
  const letters = useMemo(() => new Map(teachingOrder(sampler).map((one, index) => [one.id, letterOf(index)] as const)), [sampler])
  if (sampler.exercises.length === 0)
    return (
      <div className="scroll">
        <h1>Order</h1>
        <p className="quiet">Nothing to order yet. Choose stitches first.</p>
      </div>
    )
  return (
    <div className="order-stage">
      <div className="order-main">
        <div className="order-title">
          <h1>Order</h1>
          <span className="quiet">{levelInWords(course.course, sampler.brief.level)}</span>
        </div>
        {course.course.length === 0 && <p className="quiet">{busy ? 'Working the exercises …' : 'No exercise can be worked yet. Their cards say why.'}</p>}
        <RampChart
          description={course.description}
          worked={worked}
          letters={letters}
          selected={selected}
          onSelect={(id) => {
            dispatch(exerciseSelected(id))
            setSide('exercise')
          }}
        />
        <BrokenRules sampler={sampler} course={course} />
        {course.course.length > 0 && <LessonList sampler={sampler} course={course} letters={letters} />}
        <NotTaught sampler={sampler} />
      </div>
      <div className="order-beside">
        <Segmented<Side> aria-label="Beside the order" options={[...SIDES]} value={side} onChange={setSide} />
        {/* Kept while another is looked at, so that a search goes on. */}
        <div hidden={side !== 'find'}>
          <FoundPanel sampler={sampler} course={course} />
        </div>
        {side === 'exercise' && <ChosenPanel sampler={sampler} exercise={exercise} course={course} />}
        {side === 'motions' && <MotionsPanel sampler={sampler} course={course} />}
        {side === 'layers' && <LayersPanel sampler={sampler} course={course} letters={letters} />}
        {side === 'wishes' && <WishesPanel sampler={sampler} />}
      </div>
    </div>
  )
}

function BrokenRules({ sampler, course }: { sampler: Sampler; course: Course }) {
  if (course.broken.length === 0) return null
  return (
    <ul className="plain-list broken-rules" aria-label="Broken rules">
      {course.broken.slice(0, 8).map((rule) => (
        <li key={rule.sentence} className="problem">
          <KnotGlyph />
          <span>
            {rule.sentence}{' '}
            <Button size="small" onClick={() => takePlan(sampler, rule.repair.plan)}>
              {rule.repair.sentence.replace(/\.$/, '')}
            </Button>
          </span>
        </li>
      ))}
      {course.broken.length > 8 && <li className="quiet">and {course.broken.length - 8} more</li>}
    </ul>
  )
}

function NotTaught({ sampler }: { sampler: Sampler }) {
  const left = sampler.exercises.filter((exercise) => exercise.pins?.excluded)
  if (left.length === 0) return null
  return (
    <div style={{ marginTop: 14 }}>
      <h3>Not taught in this course</h3>
      <ul className="plain-list">
        {left.map((exercise) => (
          <li key={exercise.id} className="easing">
            <span>{exercise.name}</span>
            <Button size="small" onClick={() => edit({ kind: 'change-exercise', id: exercise.id, set: { pins: { ...exercise.pins, excluded: false } } })}>
              Teach it again
            </Button>
          </li>
        ))}
      </ul>
    </div>
  )
}
