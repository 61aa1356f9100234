/** The cloth on its table at a true scale: painted on canvas, with tape measures, pins and knots over it. */
import type { Surroundings } from '@lemmata/core/assign'
import type { ThreadBehind } from '@lemmata/core/behind'
import { inkOn } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { boxAround, type Point } from '@lemmata/core/geometry'
import { MEASURE } from '@lemmata/core/draw'
import { editPoint, type Guide, type Handle } from '@lemmata/core/guide'
import { guidesHeld, withMotifs } from '@lemmata/core/layout'
import { type DrawnGuide, type Exercise, type Sampler } from '@lemmata/core/sampler'
import { useGesture } from '@use-gesture/react'
import { type KeyboardEvent, lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useSize } from '../drawing/use-size.ts'
import { edit } from '../store/index.ts'
import { Basting } from './Basting.tsx'
import { Letters, lettersOf } from './Letters.tsx'
import { BehindLines } from './BehindLines.tsx'
import { Cautions } from './Cautions.tsx'
import { Marquee, useMarquee } from './Marquee.tsx'
import { guideAfterKey, handlesInView, isPlace } from './places-in-hand.ts'
import { nearestExercise } from './nearest-exercise.ts'
import type { Scene } from './scene.ts'
import { GuideLine } from './GuideLine.tsx'
import { Pin } from './Pin.tsx'
import { RulerAlong } from './RulerAlong.tsx'
import { ScaleSlip, type Wish } from './ScaleSlip.tsx'
import { Sketches, sketchesOf } from './Sketches.tsx'
import { DrawOverlay } from './draw/DrawOverlay.tsx'
import { neatGround } from './draw/snap.ts'
import { useDrawGestures } from './draw/use-draw-gestures.ts'
import type { Drawing } from './draw/use-drawing.ts'
import { Tapes } from './Tapes.tsx'
import type { Lift } from './TransformBox.tsx'
import { isOnPin, isPad } from './pointer.ts'
import { pressedTwice } from './pressed-twice.ts'
import { useDrag } from './use-drag.ts'
import { useUnderlay } from './use-underlay.ts'
import { useLastSeen } from './use-last-seen.ts'
import { usePainting } from './use-painting.ts'
import { usePaintingAbove, useParted } from './use-painting-above.ts'
import { useOncePerFrame } from './use-once-per-frame.ts'
import { toCloth, type View, zoomAt } from './view.ts'
import { viewFor } from './view-for.ts'

// Sent for when it is first wanted.
const TransformBox = lazy(() => import('./TransformBox.tsx').then((file) => ({ default: file.TransformBox })))

export interface Shown {
  readonly side: 'front' | 'back'
  readonly worked: boolean
  readonly marks: boolean
}

interface Props {
  readonly sampler: Sampler
  readonly around: Surroundings
  readonly done: readonly WorkedExercise[]
  readonly selected: Exercise | null
  /** The guide whose handles are shown. */
  readonly drawn: DrawnGuide | null
  readonly shown: Shown
  /** CSS pixels that make a true millimetre on this screen. */
  readonly truePxPerMm: number
  readonly wish: { readonly kind: Wish; readonly key: number }
  readonly onWish: (kind: Wish) => void
  /** What goes on behind, where that is shown. */
  readonly behind: readonly ThreadBehind[]
  /** What is held beside the selected. */
  readonly also: readonly string[]
  /** `more`: with what is held already. */
  readonly onSelect: (id: string, more?: boolean) => void
  readonly onSelectAll: (ids: readonly string[]) => void
  readonly onSetScale: () => void
  /** The tool in hand. */
  readonly drawing: Drawing | null
  /** What is being drawn, as it would be worked. */
  readonly preview: WorkedExercise | null
  /** All that is held has handles about it instead of pins. */
  readonly byHand: boolean
  readonly onDrawn: (places: readonly Point[], byHand?: boolean) => void
}

/** A drag that goes no further chooses what lies there. */
const STILL_PX = 4

export function ClothView(props: Props) {
  const {
    sampler,
    around,
    done,
    selected,
    drawn,
    shown,
    truePxPerMm,
    wish,
    onWish,
    also,
    onSelect,
    onSelectAll,
    onSetScale,
    drawing,
    preview,
    byHand,
    onDrawn,
  } = props
  const box = useRef<HTMLDivElement>(null)
  const base = useRef<HTMLCanvasElement>(null)
  const top = useRef<HTMLCanvasElement>(null)
  const { width, height } = useSize(box)
  const [view, setViewNow] = useState<View | null>(null)
  const setView = useOncePerFrame(setViewNow)
  const viewRef = useRef<View | null>(null)
  const opened = useRef<View | null>(null)
  viewRef.current = view
  const { cloth, workingHoop } = sampler
  const mirrored = shown.side === 'back'
  const mirroredMm = mirrored ? cloth.widthMm : null
  const held = useMemo(() => done.find((one) => one.exercise.id === selected?.id), [done, selected])
  const heldBox = useMemo(() => (held ? boxOfExercise(held) : null), [held])
  const alsoBoxes = useMemo(() => done.flatMap((one) => (also.includes(one.exercise.id) ? (boxOfExercise(one) ?? []) : [])), [done, also])
  const wholeBox = useMemo(() => boxAround(heldBox ? [heldBox, ...alsoBoxes] : alsoBoxes), [heldBox, alsoBoxes])
  const areas = useRef({ heldBox, workingHoop, cloth })
  areas.current = { heldBox, workingHoop, cloth }

  useEffect(() => {
    if (width === 0 || height === 0) return
    const wished = viewFor(wish.kind, viewRef.current, areas.current, { width, height }, truePxPerMm)
    if (wish.kind === 'cloth' || wish.kind === 'hoop') opened.current = wished
    setViewNow(wished)
    // Only a wish, a new size, another cloth or hoop moves the view; edits of exercises do not.
  }, [wish, width, height, cloth.widthMm, cloth.heightMm, workingHoop, truePxPerMm])

  const clothPoint = useCallback((event: { clientX: number; clientY: number }): Point => {
    const rect = box.current?.getBoundingClientRect()
    const now = viewRef.current
    if (!rect || !now) return { x: 0, y: 0 }
    return toCloth(now, { x: event.clientX - rect.left, y: event.clientY - rect.top })
  }, [])
  const together = useMemo(() => withMotifs(sampler.drawing, guidesHeld(sampler, selected ? [selected.id, ...also] : also)), [sampler, selected, also])
  const { draft, begin, move, end, isDragging } = useDrag(sampler, around, together, clothPoint)
  const nameOf = useCallback(
    (guide: DrawnGuide) => sampler.exercises.find((one) => one.on.some((on) => on.guide === guide.id))?.name ?? guide.name ?? 'a sketch',
    [sampler.exercises],
  )
  const marquee = useMarquee(done, mirroredMm, onSelectAll)
  const scale = view?.scale ?? 1
  const { units } = sampler
  const ground = useMemo(() => neatGround({ cloth, workingHoop, units }, scale), [cloth, workingHoop, units, scale])
  const gestures = useDrawGestures(drawing, sampler.drawing.guides, nameOf, scale, ground, onDrawn)
  const [lift, setLift] = useState<Lift | null>(null)
  const heldIds = useMemo(() => new Set(selected ? [selected.id, ...also] : also), [selected, also])
  const carried = lift ? heldIds : (draft?.carried?.ids ?? null)
  const { resting, above } = useParted(done, carried, draft, preview)
  const by = draft?.carried?.by
  const lifted = lift ? lift.css : by && view ? `translate(${(mirrored ? -by.x : by.x) * view.scale}px, ${by.y * view.scale}px)` : undefined
  // The picture that one draws over is seen while one draws, and where marks are looked at.
  const underlay = useUnderlay(sampler)
  const picture = shown.marks || drawing ? underlay : null
  const scene = useMemo<Scene>(
    () => ({ sampler: { cloth, ...(workingHoop ? { workingHoop } : {}) }, done: resting, ...shown, picture }),
    [cloth, workingHoop, resting, shown, picture],
  )
  const asOpened = view === opened.current && shown.side === 'front' && shown.worked && !drawing && !mirrored
  usePainting(base, scene, view, width, height, carried !== null, useLastSeen(box, asOpened))

  usePaintingAbove(top, above, shown, cloth.colour.hex, view, width, height)

  const begunOnPin = useRef(false)
  useGesture(
    {
      onPointerDown: ({ event }) => {
        begunOnPin.current = isOnPin(event)
      },
      onMove: ({ event, dragging }) => {
        if (drawing && !dragging) gestures.onMove(clothPoint(event), event)
      },
      onDrag: ({ event, delta: [x, y], tap, first, last, pinching, cancel, initial, xy: [clientX, clientY] }) => {
        if (pinching) return void cancel()
        // What begins on a pin or a handle is theirs to the end, wherever it goes.
        if (begunOnPin.current || isOnPin(event)) return
        if (drawing && !mirrored) {
          const at = clothPoint({ clientX, clientY })
          if (tap) gestures.onTap(at, event)
          else {
            // A drag is known as one a little after it began.
            if (first) gestures.onDrag(clothPoint({ clientX: initial[0], clientY: initial[1] }), 'first', event)
            gestures.onDrag(at, last ? 'last' : 'more', event)
          }
          return
        }
        if (isDragging()) return
        if (event.shiftKey && !tap)
          return marquee.onDrag(clothPoint({ clientX: first ? initial[0] : clientX, clientY: first ? initial[1] : clientY }), first, last)
        if (!tap) return setView((before) => (before ? { ...before, x: before.x + x, y: before.y + y } : before))
        const at = clothPoint({ clientX, clientY })
        const near = nearestExercise(done, mirrored ? { ...at, x: cloth.widthMm - at.x } : at, 9 / (viewRef.current?.scale ?? 4), shown.side)
        if (near) onSelect(near, event.shiftKey)
      },
      onPinch: ({ origin: [x, y], delta: [by], offset: [scale], event, first, memo }) => {
        event.preventDefault()
        const rect = box.current?.getBoundingClientRect()
        const before = first || memo === undefined ? scale - by : (memo as number)
        if (rect && before > 0) setView((now) => (now ? zoomAt(now, scale / before, { x: x - rect.left, y: y - rect.top }) : now))
        return scale
      },
      onWheel: ({ event, delta: [x, y], ctrlKey, pinching }) => {
        if (ctrlKey || pinching) return
        event.preventDefault()
        const rect = box.current?.getBoundingClientRect()
        if (!rect) return
        // Two fingers on a pad move the cloth; the wheel of a mouse brings it nearer.
        if (isPad(event)) setView((now) => (now ? { ...now, x: now.x - x, y: now.y - y } : now))
        else setView((now) => (now ? zoomAt(now, Math.exp(-y * 0.0015), { x: event.clientX - rect.left, y: event.clientY - rect.top }) : now))
      },
    },
    {
      target: box,
      eventOptions: { passive: false },
      drag: { filterTaps: true, tapsThreshold: STILL_PX, pointer: { capture: false } },
      pinch: { scaleBounds: { min: 0.02, max: 60 }, rubberband: false },
    },
  )

  const current = draft && draft.drawn.id === drawn?.id ? draft.drawn : drawn
  const [inHand, setInHand] = useState<string | null>(null)
  const inView = useMemo(() => (current ? handlesInView(current.guide, inHand, scale) : []), [current, inHand, scale])
  const handles = mirrored || drawing || byHand ? [] : inView
  const sketches = useMemo(() => sketchesOf(sampler), [sampler])
  const letters = useMemo(() => lettersOf(sampler, done), [sampler, done])
  const ink = inkOn(cloth.colour.hex)
  // Pressed twice the pin, or the line, does something of its own: a pointer that is held tells no double click.
  const twice = useRef(pressedTwice(STILL_PX)).current
  const takeHold = (handle: Handle, id: string, event: React.PointerEvent, onTwice: () => boolean): void => {
    if (!drawn) return
    event.stopPropagation()
    if (twice.press(id, event) && onTwice()) return
    box.current?.setPointerCapture(event.pointerId)
    begin(drawn, handle, event)
  }
  const change = (guide: Guide | null): boolean => {
    if (guide && current) edit({ kind: 'change-guide', id: current.id, set: { guide } })
    return guide !== null
  }
  const onHandleKey = (handle: Handle, event: KeyboardEvent): void => {
    const next = current ? guideAfterKey(current.guide, handle, handles, event) : undefined
    if (next === undefined) return
    event.preventDefault()
    event.stopPropagation()
    change(next)
  }

  return (
    <div
      ref={box}
      className={drawing ? 'cloth-view drawing-on' : 'cloth-view'}
      data-testid="cloth-view"
      data-view={view ? `${view.scale} ${view.x} ${view.y}` : undefined}
      onPointerMove={(event) => {
        if (!isDragging()) return
        twice.move(event)
        move(event)
      }}
      onPointerUp={() => isDragging() && end()}
      onPointerCancel={() => isDragging() && end()}
    >
      <canvas ref={base} className="painted" role="img" aria-label={`${sampler.name}, ${shown.side} of the cloth, ${done.length} exercises`} />
      <canvas ref={top} aria-hidden="true" style={{ pointerEvents: 'none', transform: lifted, transformOrigin: lift?.origin }} />
      {view && (
        <svg className={ink.isDark ? 'over on-dark' : 'over'} width={width} height={height}>
          {heldBox && <Basting box={heldBox} view={view} mirroredMm={mirroredMm} />}
          {alsoBoxes.map((one) => (
            <Basting key={`${one.left} ${one.top}`} box={one} view={view} mirroredMm={mirroredMm} />
          ))}
          {marquee.box && <Marquee box={marquee.box} view={view} />}
          {mirroredMm !== null && <BehindLines threads={props.behind} view={view} mirroredMm={mirroredMm} ink={ink} />}
          {shown.marks && <Letters letters={letters} view={view} mirroredMm={mirroredMm} ink={ink} />}
          {!drawing && <Sketches guides={sketches} view={view} selected={drawn?.id ?? null} isDark={ink.isDark} mirroredMm={mirroredMm} onSelect={onSelect} />}
          {drawing?.tool === MEASURE && drawn && !mirrored && <RulerAlong guide={drawn.guide} view={view} unit={sampler.units} isDark={ink.isDark} />}
          {drawing && (
            <DrawOverlay
              drawing={drawing}
              view={view}
              widthPx={width}
              done={preview}
              pointer={gestures.pointer}
              words={gestures.words}
              unit={sampler.units}
              isDark={ink.isDark}
              along={drawn?.guide ?? null}
              pitchMm={held && held.pieces[0].guide.kind === 'line' ? held.pieces[0].worked.fitted.pitchMm : null}
            />
          )}
          <Cautions sampler={sampler} done={resting} view={view} mirroredMm={mirroredMm} onSelect={onSelect} />
          <g transform={by ? `translate(${by.x * scale} ${by.y * scale})` : undefined}>
            {current && handles.length > 0 && (
              <GuideLine
                guide={current.guide}
                view={view}
                onPointerDown={(event) => {
                  const whole = handles.find((one) => one.id === 'whole')
                  const near = clothPoint(event)
                  if (whole) takeHold(whole, 'line', event, () => change(editPoint(current.guide, { kind: 'add', near })))
                }}
              />
            )}
            {current &&
              handles.map((handle) => (
                <Pin
                  key={handle.id}
                  handle={handle}
                  view={view}
                  name={`${selected?.name ?? current?.name ?? 'Guide'}: ${handle.name}`}
                  dragged={draft !== null && isDragging()}
                  onPointerDown={(event) => {
                    if (handle.of === undefined) setInHand(handle.id)
                    takeHold(handle, handle.id, event, () => isPlace(handle) && change(editPoint(current.guide, { kind: 'turn', handleId: handle.id })))
                  }}
                  onKeyDown={(event) => onHandleKey(handle, event)}
                  onFocus={() => handle.of === undefined && setInHand(handle.id)}
                />
              ))}
          </g>
          <Tapes view={view} width={width} height={height} unit={sampler.units} mirroredMm={mirroredMm} held={heldBox} />
        </svg>
      )}
      {view && byHand && wholeBox && !mirrored && !drawing && (
        <Suspense fallback={null}>
          <TransformBox box={wholeBox} view={view} onLift={setLift} onDone={(matrix) => edit({ kind: 'transform-guides', ids: together, matrix })} />
        </Suspense>
      )}
      {view && <ScaleSlip scale={view.scale / truePxPerMm} side={shown.side} onWish={onWish} onSetScale={onSetScale} />}
    </div>
  )
}
