/** The sampler on its cloth in true scale: worked, marked, from behind. */
import { surroundingsOf } from '@lemmata/core/assign'
import { Button, Dropdown, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { useScreenScale } from '../drawing/screen-scale.ts'
import { useSampler, useSelectedExercise } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { ClothView, type Shown } from './ClothView.tsx'
import { ScaleDialog } from './ScaleDialog.tsx'
import type { Wish } from './ScaleSlip.tsx'

type Layers = 'worked' | 'marked' | 'both'

const VIEWS: readonly { readonly key: Wish; readonly label: string }[] = [
  { key: 'cloth', label: 'The cloth (0)' },
  { key: 'hoop', label: 'The hoop (8)' },
  { key: 'held', label: 'What is held (7)' },
  { key: 'true', label: 'True size (9)' },
]

export function ClothStage() {
  const sampler = useSampler()
  const { done, complete, results } = useWorked()
  const selected = useSelectedExercise(sampler)
  const drawn = sampler.drawing.guides.find((one) => one.id === selected?.on[0]?.guide) ?? null
  const dispatch = useAppDispatch()
  const [layers, setLayers] = useState<Layers>('worked')
  const [side, setSide] = useState<'front' | 'back'>('front')
  const [wish, setWish] = useState<{ readonly kind: Wish; readonly key: number }>({ kind: 'cloth', key: 0 })
  const [screenScale, setScreenScale] = useScreenScale()
  const [measuring, setMeasuring] = useState(false)
  const around = useMemo(() => surroundingsOf(sampler), [sampler])
  const shown = useMemo<Shown>(() => ({ side, worked: layers !== 'marked', marks: layers !== 'worked' }), [side, layers])
  const ask = (kind: Wish): void => setWish((before) => ({ kind, key: before.key + 1 }))
  const flip = (): void => setSide((before) => (before === 'front' ? 'back' : 'front'))
  const nudge = (by: number): void => {
    const one = done.find((candidate) => candidate.exercise.id === selected?.id)
    const length = one ? [...one.assigned.parameters.values()].find((parameter) => parameter.kind === 'length') : undefined
    if (!selected || !length) return
    edit({ kind: 'set-parameters', id: selected.id, set: { [length.id]: Math.max(0.2, Math.round((length.value + by) * 100) / 100) } })
  }
  useHotkeys('f', flip)
  useHotkeys('w', () => setLayers((before) => (before === 'worked' ? 'both' : before === 'both' ? 'marked' : 'both')))
  useHotkeys('g', () => setLayers((before) => (before === 'marked' ? 'both' : before === 'both' ? 'worked' : 'both')))
  useHotkeys('0', () => ask('cloth'))
  useHotkeys('8', () => ask('hoop'))
  useHotkeys('7', () => ask('held'))
  useHotkeys('9', () => ask('true'))
  useHotkeys('equal, shift+equal, add', () => ask('in'))
  useHotkeys('minus, subtract', () => ask('out'))
  useHotkeys('comma', () => nudge(-0.1))
  useHotkeys('period', () => nudge(0.1))

  return (
    <div className="stage-frame cloth-stage">
      <h1 className="visually-hidden">Cloth</h1>
      <div className="toolbar">
        <Segmented<Layers>
          aria-label="What is shown"
          value={layers}
          onChange={setLayers}
          options={[
            { value: 'worked', label: 'Worked' },
            { value: 'marked', label: 'Marked' },
            { value: 'both', label: 'Both' },
          ]}
        />
        <Button onClick={flip} aria-pressed={side === 'back'} title="F">
          {side === 'front' ? 'Turn over' : 'Turn back'}
        </Button>
        <span className="grow" />
        {!complete && sampler.exercises.length > 0 && (
          <span className="quiet" role="status">
            working {results.size} of {sampler.exercises.length}
          </span>
        )}
        <Dropdown trigger={['click']} menu={{ items: VIEWS.map(({ key, label }) => ({ key, label, onClick: () => ask(key) })) }}>
          <Button title="0, 8, 7, 9">Fit ▾</Button>
        </Dropdown>
      </div>
      {sampler.exercises.length === 0 ? (
        <div className="empty bare-cloth">
          <h2>The cloth is bare</h2>
          <p>Choose a stitch and it is laid in the next free place, with spacing, thread and needle.</p>
          <Link to="../stitches">Choose a stitch</Link>
        </div>
      ) : (
        <ClothView
          sampler={sampler}
          around={around}
          done={done}
          selected={selected}
          drawn={drawn}
          shown={shown}
          truePxPerMm={screenScale}
          wish={wish}
          onWish={ask}
          onSelect={(id) => dispatch(exerciseSelected(id))}
          onSetScale={() => setMeasuring(true)}
        />
      )}
      <p className="print-only">A printed page of the browser is not true to size. Stage Sheets makes the pattern and the lesson sheets at true size.</p>
      <ScaleDialog
        open={measuring}
        pxPerMm={screenScale}
        onKeep={(scale) => {
          setScreenScale(scale)
          setMeasuring(false)
          ask('true')
        }}
        onClose={() => setMeasuring(false)}
      />
    </div>
  )
}
