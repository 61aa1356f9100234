/**
 * The picture on its canvas. While one pans and zooms, the picture that is there is moved and scaled by the browser, which
 * costs nothing; when the view rests it is painted anew behind, a few milliseconds at a frame, and then shown.
 */
import { type RefObject, useEffect, useRef } from 'react'
import { type Scene, paintScene } from './scene.ts'
import type { View } from './view.ts'

/** Painted beyond the box on each side, a share of its size, so that a pan does not bare the table. */
const MARGIN = 0.18
const BUDGET_MS = 9
/** Before all of it has been seen once there is little else to do with it. */
const OPENING_MS = 26
/** While something is carried over the cloth, its frames come first. */
const BUSY_MS = 3
const REST_MS = 70

interface Painted {
  readonly view: View
  readonly scene: Scene
}

interface Running {
  readonly steps: Generator<void>
  readonly canvas: HTMLCanvasElement
  readonly painted: Painted
  readonly ended: () => void
}

/** `onWhole`: when all of the scene is seen. */
export function usePainting(
  ref: RefObject<HTMLCanvasElement | null>,
  scene: Scene,
  view: View | null,
  width: number,
  height: number,
  busy: boolean,
  onWhole: (canvas: HTMLCanvasElement) => void,
): void {
  const opened = useRef(false)
  const budget = useRef(BUDGET_MS)
  budget.current = busy ? BUSY_MS : opened.current ? BUDGET_MS : OPENING_MS
  const shown = useRef<Painted | null>(null)
  const running = useRef<Running | null>(null)
  const frame = useRef(0)
  /** Begins what has come while the last was being painted. */
  const next = useRef<(() => void) | null>(null)
  const latestView = useRef<View | null>(null)
  const size = useRef({ width: 0, height: 0 })

  useEffect(() => {
    const canvas = ref.current
    if (!canvas || !view || width === 0 || height === 0) return
    const [marginX, marginY] = [Math.ceil(width * MARGIN), Math.ceil(height * MARGIN)]
    const resized = size.current.width !== width || size.current.height !== height
    size.current = { width, height }
    place(canvas, shown.current?.view ?? view, view, width, height, marginX, marginY)

    const begin = (): void => {
      canvas.dataset.painted = 'partly'
      const behind = document.createElement('canvas')
      const context = sized(behind, width + 2 * marginX, height + 2 * marginY)
      if (!context) return
      const whole = { ...view, x: view.x + marginX, y: view.y + marginY }
      running.current = {
        canvas: behind,
        painted: { view, scene },
        steps: paintScene(context, scene, whole, width + 2 * marginX, height + 2 * marginY),
        ended: () => place(canvas, view, latestView.current ?? view, width, height, marginX, marginY),
      }
      next.current = null
      cancelAnimationFrame(frame.current)
      frame.current = requestAnimationFrame(work)
    }
    const work = (): void => {
      const now = running.current
      if (!now) return
      const until = performance.now() + budget.current
      let ended = false
      while (!ended && performance.now() < until) ended = now.steps.next().done === true
      // The very first picture is shown as it grows; a later one when it is whole.
      if (ended || !shown.current) show(canvas, now.canvas)
      if (!ended) {
        frame.current = requestAnimationFrame(work)
        return
      }
      running.current = null
      shown.current = now.painted
      now.ended()
      if (next.current) next.current()
      else {
        canvas.dataset.painted = 'whole'
        opened.current ||= now.painted.scene.done.length > 0
        onWhole(canvas)
      }
    }

    latestView.current = view
    const before = running.current?.painted ?? shown.current
    const same = before && before.scene === scene && before.view === view && !resized
    if (same) {
      next.current = null
      return
    }
    // While a sampler is being worked its picture grows: what is begun is shown, and then what has come since.
    if (running.current && before && before.view === view && !resized && isMoreOf(before.scene, scene)) {
      next.current = begin
      return
    }
    const moved = before && before.scene === scene && !resized
    running.current = null
    next.current = null
    cancelAnimationFrame(frame.current)
    if (!moved) {
      begin()
      return
    }
    const timer = setTimeout(begin, REST_MS)
    return () => clearTimeout(timer)
  }, [ref, scene, view, width, height, onWhole])
  useEffect(
    () => () => {
      running.current = null
      cancelAnimationFrame(frame.current)
    },
    [],
  )
}

/** The same cloth seen in the same way, with more worked on it. */
function isMoreOf(before: Scene, now: Scene): boolean {
  const alike = (['side', 'worked', 'marks', 'picture'] as const).every((key) => before[key] === now[key])
  return alike && now.done.length > before.done.length && now.sampler.cloth === before.sampler.cloth && now.sampler.workingHoop === before.sampler.workingHoop
}

function sized(canvas: HTMLCanvasElement, width: number, height: number): CanvasRenderingContext2D | null {
  const ratio = window.devicePixelRatio || 1
  canvas.width = Math.round(width * ratio)
  canvas.height = Math.round(height * ratio)
  const context = canvas.getContext('2d', { alpha: false })
  context?.setTransform(ratio, 0, 0, ratio, 0, 0)
  return context
}

function show(canvas: HTMLCanvasElement, painted: HTMLCanvasElement): void {
  if (canvas.width !== painted.width || canvas.height !== painted.height) {
    canvas.width = painted.width
    canvas.height = painted.height
  }
  canvas.getContext('2d', { alpha: false })?.drawImage(painted, 0, 0)
}

/** The picture of one view where another has it. */
function place(canvas: HTMLCanvasElement, painted: View, now: View, width: number, height: number, marginX: number, marginY: number): void {
  const by = now.scale / painted.scale
  const [x, y] = [now.x - (painted.x + marginX) * by, now.y - (painted.y + marginY) * by]
  Object.assign(canvas.style, {
    width: `${width + 2 * marginX}px`,
    height: `${height + 2 * marginY}px`,
    transformOrigin: '0 0',
    transform: `translate(${x}px, ${y}px) scale(${by})`,
  })
}
