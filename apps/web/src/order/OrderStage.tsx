/** The ramp from first line to last knot: seen, ordered by hand in the spine or by Lemmata here, with every reason. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { levelInWords } from '@lemmata/core/plan'
import { type CoursePlan, describePlan, refreshPlan } from '@lemmata/core/order'
import { letterOf } from '@lemmata/core/sheets'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { Button, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { BrokenThreadGlyph } from '../look/Glyphs.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { FoundPanel } from './FoundPanel.tsx'
import { LayersPanel } from './LayersPanel.tsx'
import { MotionsPanel } from './MotionsPanel.tsx'
import { RampChart, type RampBy } from './RampChart.tsx'
import { type Course, takePlan, useCourse } from './use-course.ts'
import { WishesPanel } from './WishesPanel.tsx'

const BELOW = [
  { value: 'find', label: 'Better order' },
  { value: 'motions', label: 'Motions' },
  { value: 'layers', label: 'Layers' },
  { value: 'wishes', label: 'Wishes' },
] as const
type Below = (typeof BELOW)[number]['value']

export function OrderStage() {
  const sampler = useSampler()
  const course = useCourse(sampler)
  const { done, results, complete } = useWorked()
  const selected = useAppSelector((state) => state.sampler.selected)
  const dispatch = useAppDispatch()
  const [below, setBelow] = useState<Below>('find')
  const [beside, setBeside] = useState<CoursePlan | null>(null)
  const [by, setBy] = useState<RampBy>('exercises')
  const worked = useMemo(() => new Map(done.map((one): [string, WorkedExercise] => [one.exercise.id, one])), [done])
  const letters = useMemo(() => new Map(teachingOrder(sampler).map((one, index) => [one.id as string, letterOf(index)] as const)), [sampler])
  const there = useMemo(() => beside && describePlan(course.course, refreshPlan(beside, course.course), course.settings), [beside, course])
  if (sampler.exercises.length === 0)
    return (
      <div className="stage-frame">
        <h1 className="visually-hidden">Order</h1>
        <p className="quiet stage-empty">Nothing to order yet. Choose stitches first.</p>
      </div>
    )
  return (
    <div className="stage-frame order-stage">
      <h1 className="visually-hidden">Order</h1>
      <div className="toolbar">
        <Segmented<RampBy>
          aria-label="The ramp by"
          value={by}
          onChange={setBy}
          options={[
            { value: 'exercises', label: 'By exercise' },
            { value: 'lessons', label: 'By lesson' },
          ]}
        />
        <span className="grow" />
        <Segmented<Below> aria-label="Below the ramp" options={[...BELOW]} value={below} onChange={setBelow} />
      </div>
      {course.course.length === 0 && (
        <p className="quiet stage-note" role="status">
          {complete ? 'No exercise can be worked yet. Their cards say why.' : `working ${results.size} of ${sampler.exercises.length}`}
        </p>
      )}
      <RampChart
        by={by}
        description={course.description}
        worked={worked}
        letters={letters}
        selected={selected}
        onSelect={(id) => dispatch(exerciseSelected(id))}
      />
      {there && (
        <>
          <p className="ramp-title">
            The other order, beside yours
            <Button size="small" type="text" onClick={() => setBeside(null)}>
              Lay it away
            </Button>
          </p>
          <RampChart by={by} description={there} worked={worked} letters={letters} selected={selected} onSelect={(id) => dispatch(exerciseSelected(id))} />
        </>
      )}
      <div className="stage-scroll order-below">
        <p className="why order-level">{levelInWords(course.course, sampler.brief.level)}</p>
        <BrokenRules sampler={sampler} course={course} />
        {/* Kept while another is looked at, so that a search goes on. */}
        <div hidden={below !== 'find'}>
          <FoundPanel sampler={sampler} course={course} onBeside={setBeside} />
        </div>
        {below === 'motions' && <MotionsPanel sampler={sampler} course={course} />}
        {below === 'layers' && <LayersPanel sampler={sampler} course={course} letters={letters} />}
        {below === 'wishes' && <WishesPanel sampler={sampler} course={course} />}
        <NotTaught sampler={sampler} />
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
          <BrokenThreadGlyph />
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
