/** The sampler on its cloth in true scale: worked, marked, from behind. */
import { surroundingsOf } from '@lemmata/core/assign'
import { planBehind } from '@lemmata/core/behind'
import { DRAW_TOOL_GROUPS, type DrawTool, MEASURE } from '@lemmata/core/draw'
import { type Guide, guideServes } from '@lemmata/core/guide'
import type { Point } from '@lemmata/core/geometry'
import { type DrawnAs, newExerciseOn, newSketches } from '@lemmata/core/layout'
import type { Sampler } from '@lemmata/core/sampler'
import { type Exercise, lessonOf, teachingOrder } from '@lemmata/core/sampler'
import { allStitches, findStitch } from '@lemmata/core/stitches'
import { Button, Dropdown, Segmented } from 'antd'
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, useLocation, useSearchParams } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { useScreenScale } from '../drawing/screen-scale.ts'
import { useSampler, useSelectedExercise } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch, useAppSelector } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'
import { DrawBar } from './draw/DrawBar.tsx'
import { useDrawing } from './draw/use-drawing.ts'
import { usePreview } from './draw/use-preview.ts'
import { isNarrow } from '../spine/use-folded.ts'
import { allHeld, cardClosed, exerciseSelected, heldToo } from '../store/sampler.ts'
import { ArrangeMenu } from './ArrangeMenu.tsx'
import { BehindSlip } from './BehindSlip.tsx'
import { ClothMenu } from './ClothMenu.tsx'
import { ClothView, type Shown } from './ClothView.tsx'
import { ScaleDialog } from './ScaleDialog.tsx'
import type { Wish } from './ScaleSlip.tsx'

// Sent for when they are opened: the cloth is seen sooner.
const BringIn = lazy(() => import('./BringIn.tsx').then((file) => ({ default: file.BringIn })))

type Layers = 'worked' | 'marked' | 'both'

const VIEWS: readonly { readonly key: Wish; readonly label: string }[] = [
  { key: 'cloth', label: 'The cloth (0)' },
  { key: 'hoop', label: 'The hoop (8)' },
  { key: 'held', label: 'What is held (7)' },
  { key: 'true', label: 'True size (9)' },
]

const NOTHING: readonly Guide[] = []

/** What was chosen for such a guide last, else what is good for it, else what the exercise in hand is worked in, else the first that serves it. */
function stitchFor(tool: DrawTool, chosen: Readonly<Record<string, string | null>>, selected: Exercise | null, sampler: Sampler): string | null {
  const before = chosen[keyOf(tool)]
  if (before !== undefined) return before
  const serving = allStitches(sampler.stitches).filter((one) => guideServes(one.guide, tool.kind))
  const { goodFor } = tool
  const first = serving.find((one) => (goodFor === undefined ? one.id === selected?.stitch : one.goodFor?.includes(goodFor) === true))
  return (first ?? serving[0])?.id ?? null
}

/** Tools for one kind of guide share what was chosen last, but for those that have a stitch of their own. */
const keyOf = (tool: DrawTool): string => (tool.goodFor === undefined ? tool.kind : tool.id)

/** Also while a row of the list has the focus: there letters find names, figures and signs are free. */
const ON_ROWS = { enableOnFormTags: ['option'] as const }

export function ClothStage() {
  const sampler = useSampler()
  const { done, complete, results } = useWorked()
  const selected = useSelectedExercise(sampler)
  const held = useAppSelector((state) => state.sampler.selected)
  const drawn = sampler.drawing.guides.find((one) => one.id === (selected?.on[0]?.guide ?? held)) ?? null
  const also = useAppSelector((state) => state.sampler.also)
  const all = useMemo(() => (held === null ? [] : [held, ...also]), [held, also])
  const dispatch = useAppDispatch()
  const [layers, setLayers] = useState<Layers>('worked')
  const [side, setSide] = useState<'front' | 'back'>('front')
  const [wish, setWish] = useState<{ readonly kind: Wish; readonly key: number }>({ kind: 'cloth', key: 0 })
  const [screenScale, setScreenScale] = useScreenScale()
  const [measuring, setMeasuring] = useState(false)
  const [byHand, setByHand] = useState(false)
  const [bringingIn, setBringingIn] = useState(false)
  const around = useMemo(() => surroundingsOf(sampler), [sampler])
  // Of the lesson in hand, of all where none is; only for the back, which is looked at now and then.
  const lesson = lessonOf(sampler, held ?? '')
  const behind = useMemo(
    () => (side === 'back' && complete ? planBehind(sampler, done).filter((one) => lesson === null || one.lesson === lesson.id) : []),
    [side, complete, sampler, done, lesson],
  )
  const behindThreads = useMemo(() => behind.flatMap((one) => one.threads), [behind])
  const shown = useMemo<Shown>(() => ({ side, worked: layers !== 'marked', marks: layers !== 'worked' }), [side, layers])
  const ask = (kind: Wish): void => setWish((before) => ({ kind, key: before.key + 1 }))
  const selectAll = useCallback((ids: readonly string[]) => void dispatch(allHeld(ids)), [dispatch])
  const { drawing, take, takeAgain } = useDrawing()
  const [chosen, setChosen] = useState<Readonly<Record<string, string | null>>>({})
  const stitch = drawing && drawing.tool !== MEASURE ? stitchFor(drawing.tool, chosen, selected, sampler) : null
  const stitchMm = drawing?.tool.stitchMm?.(drawing.figures)
  const preview = usePreview(
    drawing?.guides ?? NOTHING,
    stitch,
    useMemo(() => (stitchMm === undefined ? {} : { L: stitchMm }), [stitchMm]),
    around,
  )
  const finish = useCallback(
    (places?: readonly Point[], byHand?: boolean): void => {
      const guides = drawing?.finished(places, byHand) ?? NOTHING
      if (!drawing || guides.length === 0) return
      // What was measured stays to be read.
      if (drawing.tool === MEASURE) return drawing.setPlaces(places ?? drawing.places)
      const document = findStitch(stitch ?? '', sampler.stitches)
      const as: DrawnAs = { ...(drawing.words.trim() === '' ? {} : { name: drawing.words.trim() }), stitchMm }
      edit(document ? newExerciseOn(guides, document, sampler, newIds, as) : newSketches(guides, sampler, newIds, as))
      // What was drawn is held, and can be taken hold of.
      take(null)
    },
    [drawing, stitch, stitchMm, sampler, take],
  )
  useHotkeys('escape', () => (drawing && drawing.places.length > 0 ? drawing.again() : take(null)), { enabled: drawing !== null, enableOnFormTags: true })
  // What Find was asked for is taken once, and not again when one comes back by the browser's own button. By the place's key:
  // asked for the same twice before the first has left the address, it is taken twice.
  const { key: cameBy } = useLocation()
  const [asked, setAsked] = useSearchParams()
  const toDraw = asked.get('draw')
  useEffect(() => {
    if (toDraw === null) return
    take(toDraw)
    setAsked({}, { replace: true })
  }, [toDraw, cameBy, take, setAsked])
  const isDrawing = drawing !== null && drawing.tool !== MEASURE
  const begin = (tool: string): void => {
    take(tool)
    // Where the card would cover the cloth it waits until something is chosen.
    if (isNarrow()) dispatch(cardClosed())
  }
  const measure = (): void => take(drawing?.tool === MEASURE ? null : MEASURE.id)
  // Its field has the focus then: the letter is not meant for it.
  useHotkeys('m', measure, { preventDefault: true })
  useHotkeys('d', takeAgain, { preventDefault: true })
  useHotkeys('h', () => setByHand((before) => !before))
  useHotkeys('enter', () => finish(), { enabled: drawing !== null })
  const flip = (): void => setSide((before) => (before === 'front' ? 'back' : 'front'))
  const nudge = (by: number): void => {
    const one = done.find((candidate) => candidate.exercise.id === selected?.id)
    const length = one ? [...one.assigned.parameters.values()].find((parameter) => parameter.kind === 'length') : undefined
    if (!selected || !length) return
    edit({ kind: 'set-parameters', id: selected.id, set: { [length.id]: Math.max(0.2, Math.round((length.value + by) * 100) / 100) } })
  }
  useHotkeys('f', flip)
  useHotkeys('mod+a', () => selectAll(teachingOrder(sampler).map((one) => one.id)), {
    preventDefault: true,
    enabled: !isDrawing,
    ignoreEventWhen: (event) => event.defaultPrevented,
  })
  useHotkeys('w', () => setLayers((before) => (before === 'worked' ? 'both' : before === 'both' ? 'marked' : 'both')))
  useHotkeys('g', () => setLayers((before) => (before === 'marked' ? 'both' : before === 'both' ? 'worked' : 'both')))
  useHotkeys('0', () => ask('cloth'), ON_ROWS)
  useHotkeys('8', () => ask('hoop'), ON_ROWS)
  useHotkeys('7', () => ask('held'), ON_ROWS)
  useHotkeys('9', () => ask('true'), ON_ROWS)
  useHotkeys('equal, shift+equal, add', () => ask('in'), ON_ROWS)
  useHotkeys('minus, subtract', () => ask('out'), ON_ROWS)
  useHotkeys('comma', () => nudge(-0.1), ON_ROWS)
  useHotkeys('period', () => nudge(0.1), ON_ROWS)

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
        <Dropdown
          trigger={['click']}
          menu={{
            selectable: true,
            selectedKeys: drawing ? [drawing.tool.id] : [],
            className: 'draw-menu',
            items: [
              ...DRAW_TOOL_GROUPS.map(({ name, tools }) => ({
                type: 'group' as const,
                key: name,
                label: name,
                children: tools.map((tool) => ({ key: tool.id, label: tool.name, onClick: () => begin(tool.id) })),
              })),
              {
                type: 'group' as const,
                key: 'elsewhere',
                label: 'From elsewhere',
                children: [{ key: 'bring-in', label: 'Outlines, from SVG …', onClick: () => setBringingIn(true) }],
              },
            ],
          }}
        >
          <Button aria-pressed={isDrawing} type={isDrawing ? 'primary' : 'default'}>
            {drawing && isDrawing ? `Draw: ${drawing.tool.name.toLowerCase()}` : 'Draw'} ▾
          </Button>
        </Dropdown>
        <Button aria-pressed={drawing?.tool === MEASURE} type={drawing?.tool === MEASURE ? 'primary' : 'default'} title="M" onClick={measure}>
          Measure
        </Button>
        <ClothMenu sampler={sampler} done={done} results={results} />
        <ArrangeMenu sampler={sampler} held={all} done={done} byHand={byHand} onByHand={() => setByHand(!byHand)} />
        <span className="grow" />
        {!complete && sampler.exercises.length > 0 && (
          <span className="visually-hidden" role="status">
            working {results.size} of {sampler.exercises.length}
          </span>
        )}
        <Dropdown trigger={['click']} menu={{ items: VIEWS.map(({ key, label }) => ({ key, label, onClick: () => ask(key) })) }}>
          <Button title="0, 8, 7, 9">Fit ▾</Button>
        </Dropdown>
      </div>
      {drawing && (
        <DrawBar
          sampler={sampler}
          drawing={drawing}
          stitch={stitch}
          onStitch={(id) => setChosen({ ...chosen, [keyOf(drawing.tool)]: id })}
          along={drawn?.guide ?? null}
          onDone={() => finish()}
          onClose={() => take(null)}
        />
      )}
      <div className="cloth-and-note">
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
          behind={behindThreads}
          also={also}
          onSelect={(id, more) => dispatch(more ? heldToo(id) : exerciseSelected(id))}
          onSelectAll={selectAll}
          onSetScale={() => setMeasuring(true)}
          drawing={drawing}
          preview={preview}
          byHand={byHand && !isDrawing}
          onDrawn={finish}
        />
        {side === 'back' && complete && <BehindSlip sampler={sampler} lessons={behind} />}
        {sampler.exercises.length === 0 && sampler.drawing.guides.length === 0 && !drawing && (
          <div className="bare-note">
            <h2>The cloth is bare</h2>
            <p>Choose a stitch and it is laid in the next free place, with spacing, thread and needle; or draw a line and work it in one.</p>
            <Link to="../stitches">Choose a stitch</Link>
          </div>
        )}
      </div>
      <p className="print-only">A printed page of the browser is not true to size. Stage Sheets makes the pattern and the lesson sheets at true size.</p>
      {bringingIn && (
        <Suspense fallback={null}>
          <BringIn sampler={sampler} onClose={() => setBringingIn(false)} />
        </Suspense>
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
