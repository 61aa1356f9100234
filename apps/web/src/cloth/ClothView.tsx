/** The cloth in true scale: painted on canvas, with rulers and handles over it. */
import type { Surroundings } from '@lemmata/core/assign'
import { drawExerciseThread, drawMarkItems, DRAWN_MARKS, drawSampler } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import { clearRadius, clothPitch } from '@lemmata/core/materials'
import type { DrawnGuide, Exercise, Sampler } from '@lemmata/core/sampler'
import { Button } from 'antd'
import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useMemo, useRef, useState, type WheelEvent } from 'react'
import { paintItems, paintWeave, prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'
import { DYES } from '../look/theme.ts'
import { edit } from '../store/index.ts'
import { type Handle, handlesOf, moveHandle } from '@lemmata/core/guide'
import { Cautions } from './Cautions.tsx'
import { nearestExercise } from './nearest-exercise.ts'
import { Rulers } from './Rulers.tsx'
import { useDrag } from './use-drag.ts'
import { centred, fitView, toCloth, toScreen, type View, zoomAt } from './view.ts'

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
  /** Changed to ask for a view: fit, true size, closer, further. */
  readonly wish: { readonly kind: 'fit' | 'true' | 'in' | 'out'; readonly key: number }
  readonly onSelect: (id: string) => void
  readonly onSetScale: () => void
}

export function ClothView({ sampler, around, done, selected, drawn, shown, truePxPerMm, wish, onSelect, onSetScale }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const base = useRef<HTMLCanvasElement>(null)
  const top = useRef<HTMLCanvasElement>(null)
  const { width, height } = useSize(box)
  const [view, setView] = useState<View | null>(null)
  const viewRef = useRef<View | null>(null)
  viewRef.current = view
  const pan = useRef<Point | null>(null)
  const { cloth, workingHoop } = sampler

  const area = useMemo(() => {
    if (!workingHoop) return { left: 0, top: 0, right: cloth.widthMm, bottom: cloth.heightMm }
    const radius = clearRadius(workingHoop) + 16
    return { left: workingHoop.at[0] - radius, top: workingHoop.at[1] - radius, right: workingHoop.at[0] + radius, bottom: workingHoop.at[1] + radius }
  }, [cloth.widthMm, cloth.heightMm, workingHoop])

  useEffect(() => {
    if (width === 0 || height === 0) return
    const middle = { x: (area.left + area.right) / 2, y: (area.top + area.bottom) / 2 }
    setView((before) => {
      if (wish.kind === 'fit' || !before) return fitView(width, height, area)
      if (wish.kind === 'true') return centred(truePxPerMm, width, height, middle)
      return zoomAt(before, wish.kind === 'in' ? 1.25 : 0.8, { x: width / 2, y: height / 2 })
    })
    // Only a wish, a new size or another hoop moves the view; edits of exercises do not.
  }, [wish, width, height, area, truePxPerMm])

  const mirrored = shown.side === 'back'
  const clothPoint = useCallback((event: { clientX: number; clientY: number }): Point => {
    const rect = box.current?.getBoundingClientRect()
    const now = viewRef.current
    if (!rect || !now) return { x: 0, y: 0 }
    return toCloth(now, { x: event.clientX - rect.left, y: event.clientY - rect.top })
  }, [])
  const { draft, begin, move, end, isDragging } = useDrag(sampler, around, clothPoint)
  const draftId = draft && draft.done.length > 0 ? draft.drawn.id : null
  const resting = useMemo(() => (draftId === null ? done : done.filter((one) => !one.exercise.on.some((on) => on.guide === draftId))), [done, draftId])

  useEffect(() => {
    const canvas = base.current
    if (!canvas || !view || width === 0) return
    const context = prepareCanvas(canvas, width, height)
    if (!context) return
    context.translate(view.x, view.y)
    context.scale(view.scale, view.scale)
    const pitch = clothPitch({ name: '', threadsPerCm: cloth.threadsPerCm ?? 20, thicknessMm: 0.3 })
    const seen = {
      left: Math.max(0, -view.x / view.scale),
      top: Math.max(0, -view.y / view.scale),
      right: Math.min(cloth.widthMm, (width - view.x) / view.scale),
      bottom: Math.min(cloth.heightMm, (height - view.y) / view.scale),
    }
    const drawing = drawSampler(sampler, resting, { ...shown, pixelsPerMm: view.scale * (window.devicePixelRatio || 1) })
    for (const layer of drawing.layers) {
      paintItems(context, layer.items)
      if (layer.name === 'cloth' && seen.right > seen.left && seen.bottom > seen.top)
        paintWeave(context, seen, mirrored ? '#E4D9C2' : cloth.colour.hex, pitch, view.scale)
    }
  }, [sampler, resting, shown, view, width, height, cloth, mirrored])

  useEffect(() => {
    const canvas = top.current
    if (!canvas || !view || width === 0) return
    const context = prepareCanvas(canvas, width, height)
    if (!context || !draft) return
    context.translate(view.x, view.y)
    context.scale(view.scale, view.scale)
    for (const one of draft.done) {
      if (shown.marks) for (const piece of one.pieces) paintItems(context, drawMarkItems(piece.marks, DRAWN_MARKS))
      if (shown.worked) paintItems(context, drawExerciseThread(one, { side: 'front', pixelsPerMm: view.scale * (window.devicePixelRatio || 1) }, 0))
    }
  }, [draft, view, width, height, shown])

  const onPointerDown = (event: PointerEvent<HTMLDivElement>): void => {
    if (event.button !== 0) return
    pan.current = { x: event.clientX, y: event.clientY }
    const near = nearestExercise(done, mirrored ? { ...clothPoint(event), x: cloth.widthMm - clothPoint(event).x } : clothPoint(event), 9 / (view?.scale ?? 4))
    if (near) onSelect(near)
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const onPointerMove = (event: PointerEvent<HTMLDivElement>): void => {
    if (isDragging()) {
      move(event)
      return
    }
    const from = pan.current
    if (!from || !view) return
    setView({ ...view, x: view.x + event.clientX - from.x, y: view.y + event.clientY - from.y })
    pan.current = { x: event.clientX, y: event.clientY }
  }
  const onPointerUp = (): void => {
    pan.current = null
    if (isDragging()) end()
  }
  const onWheel = (event: WheelEvent<HTMLDivElement>): void => {
    const rect = box.current?.getBoundingClientRect()
    if (!rect || !view) return
    setView(zoomAt(view, Math.exp(-event.deltaY * 0.0015), { x: event.clientX - rect.left, y: event.clientY - rect.top }))
  }

  const current = draft && draft.drawn.id === drawn?.id ? draft.drawn : drawn
  const handles = current && !mirrored ? handlesOf(current.guide) : []
  const onHandleKey = (handle: Handle, event: KeyboardEvent): void => {
    const by = event.shiftKey ? 5 : 0.5
    const step: Readonly<Record<string, Point>> = {
      ArrowLeft: { x: -by, y: 0 },
      ArrowRight: { x: by, y: 0 },
      ArrowUp: { x: 0, y: -by },
      ArrowDown: { x: 0, y: by },
    }
    const to = step[event.key]
    if (!to || !current) return
    event.preventDefault()
    event.stopPropagation()
    edit({ kind: 'change-guide', id: current.id, set: { guide: moveHandle(current.guide, handle, { x: handle.at.x + to.x, y: handle.at.y + to.y }) } })
  }

  return (
    <div
      ref={box}
      className="cloth-view"
      data-testid="cloth-view"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerUp}
      onWheel={onWheel}
    >
      <canvas ref={base} role="img" aria-label={`${sampler.name}, ${shown.side} of the cloth, ${done.length} exercises`} />
      <canvas ref={top} aria-hidden="true" style={{ pointerEvents: 'none' }} />
      {view && (
        <svg className="over" width={width} height={height}>
          <Rulers view={view} width={width} height={height} unit={sampler.units} mirroredMm={mirrored ? sampler.cloth.widthMm : null} />
          <Cautions sampler={sampler} done={resting} view={view} mirroredMm={mirrored ? sampler.cloth.widthMm : null} onSelect={onSelect} />
          {handles.map((handle) => {
            const at = toScreen(view, handle.at)
            const whole = handle.id === 'whole'
            return (
              <g
                key={handle.id}
                className="handle"
                role="button"
                tabIndex={0}
                data-handle={handle.id}
                aria-label={`${selected?.name ?? current?.name ?? 'Guide'}: ${handle.name}, at ${handle.at.x.toFixed(1)} and ${handle.at.y.toFixed(1)} mm. Arrow keys move it.`}
                transform={`translate(${at.x} ${at.y})`}
                onPointerDown={(event) => {
                  if (!drawn) return
                  event.stopPropagation()
                  box.current?.setPointerCapture(event.pointerId)
                  begin(drawn, handle, event)
                }}
                onKeyDown={(event) => onHandleKey(handle, event)}
              >
                <circle r="13" fill="transparent" />
                {whole ? (
                  <rect x="-5.5" y="-5.5" width="11" height="11" fill={DYES.paper} stroke={DYES.indigo} strokeWidth="2" transform="rotate(45)" />
                ) : (
                  <circle r={handle.id.startsWith('spot') ? 4.5 : 6.5} fill={DYES.paper} stroke={DYES.indigo} strokeWidth="2.2" />
                )}
              </g>
            )
          })}
        </svg>
      )}
      {view && (
        <div className="scale-note" onPointerDown={(event) => event.stopPropagation()}>
          <span data-testid="scale-note">
            {shown.side === 'back' ? 'Back, as seen turning the cloth over · ' : ''}
            {Math.abs(view.scale / truePxPerMm - 1) < 0.01
              ? 'true size'
              : `${(view.scale / truePxPerMm).toFixed(view.scale / truePxPerMm < 1 ? 2 : 1)} × true size`}
          </span>
          <Button size="small" type="text" onClick={onSetScale}>
            Set the scale
          </Button>
        </div>
      )}
    </div>
  )
}
