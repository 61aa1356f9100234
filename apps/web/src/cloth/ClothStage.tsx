/** The sampler at true scale, with its guides and marks, as stitched, from both sides. */
import { surroundingsOf } from '@lemmata/core/assign'
import { Button, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { useScreenScale } from '../drawing/screen-scale.ts'
import { useSampler, useSelectedExercise } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { ClothView, type Shown } from './ClothView.tsx'
import { GuideFields } from './GuideFields.tsx'
import { ScaleDialog } from './ScaleDialog.tsx'

type Wish = { readonly kind: 'fit' | 'true' | 'in' | 'out'; readonly key: number }
type Layers = 'worked' | 'marked' | 'both'

export function ClothStage() {
  const sampler = useSampler()
  const selected = useSelectedExercise(sampler)
  const { done } = useWorked()
  const drawn = sampler.drawing.guides.find((one) => one.id === selected?.on[0]?.guide) ?? null
  const dispatch = useAppDispatch()
  const [layers, setLayers] = useState<Layers>('worked')
  const [side, setSide] = useState<'front' | 'back'>('front')
  const [wish, setWish] = useState<Wish>({ kind: 'fit', key: 0 })
  const [screenScale, setScreenScale] = useScreenScale()
  const [measuring, setMeasuring] = useState(false)
  const around = useMemo(() => surroundingsOf(sampler), [sampler])
  const shown = useMemo<Shown>(() => ({ side, worked: layers !== 'marked', marks: layers !== 'worked' }), [side, layers])
  const ask = (kind: Wish['kind']): void => setWish((before) => ({ kind, key: before.key + 1 }))
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
  useHotkeys('0', () => ask('fit'))
  useHotkeys('9', () => ask('true'))
  useHotkeys('equal, shift+equal, add', () => ask('in'))
  useHotkeys('minus, subtract', () => ask('out'))
  useHotkeys('comma', () => nudge(-0.1))
  useHotkeys('period', () => nudge(0.1))

  return (
    <div className="cloth-stage">
      <div className="bar">
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
        <span style={{ display: 'inline-flex', gap: 4 }}>
          <Button onClick={() => ask('out')} aria-label="Further" title="−">
            −
          </Button>
          <Button onClick={() => ask('in')} aria-label="Closer" title="+">
            +
          </Button>
          <Button onClick={() => ask('fit')} title="0">
            Fit
          </Button>
          <Button onClick={() => ask('true')} title="9">
            True size
          </Button>
        </span>
        <span className="grow" />
        {drawn ? <GuideFields key={drawn.id} drawn={drawn} unit={sampler.units} /> : <span className="quiet">Choose an exercise to move its guide.</span>}
      </div>
      {sampler.exercises.length === 0 ? (
        <div className="empty">
          <h2>The cloth is bare</h2>
          <p className="quiet">Choose a stitch and it is laid in the next free place, with spacing, thread and needle.</p>
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
          onSelect={(id) => dispatch(exerciseSelected(id))}
          onSetScale={() => setMeasuring(true)}
        />
      )}
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
