/** Stepping through a stitch: which step and which moment of it, playing or not, how fast, which hand. */
import { roleThreads, type WorkedExercise } from '@lemmata/core/exercise'
import { demonstrate, type Hand as HandSide, momentAt, secondsOf, type Step } from '@lemmata/core/steps'
import { type KeyboardEvent, useCallback, useEffect, useMemo, useState } from 'react'

export type Speed = 'slow' | 'usual' | 'quick'
/** So many times as long as a hand takes. */
const TIMES: Readonly<Record<Speed, number>> = { slow: 2, usual: 1, quick: 0.45 }
/** A finished step is looked at for so long before the next begins, ms. */
const REST_MS = 700

const prefersStill = (): boolean => typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches

/** `onOwn`: on the whole of the exercise's own guide, not on the stitch's usual one. */
export function useHand(done: WorkedExercise, leftFirst = false, onOwn = false) {
  const [hand, setHand] = useState<HandSide>(leftFirst ? 'left' : 'right')
  const [speed, setSpeed] = useState<Speed>('usual')
  const [index, setIndex] = useState(0)
  const [playing, setPlaying] = useState(false)
  /** Of the step, 1 as its picture shows it. */
  const [share, setShare] = useState(1)
  const { assigned } = done
  const { document, parameters, materials, variant } = assigned
  const [piece] = done.pieces
  const own = onOwn ? piece.guide : null
  const shown = useMemo(
    () => demonstrate({ document, parameters, materials, threads: roleThreads(assigned), hand, ...(own ? { guide: own } : {}) }),
    [document, parameters, materials, assigned, hand, own],
  )
  const steps = shown.ok ? shown.value.steps : NO_STEPS
  const last = Math.max(0, steps.length - 1)
  const at = Math.min(index, last)
  const go = useCallback((by: number) => setIndex((before) => Math.min(Math.max(0, Math.min(before, last) + by), last)), [last])
  useEffect(() => {
    setIndex(0)
    setPlaying(false)
  }, [document.id, variant])
  useEffect(() => {
    const step = steps[at]
    if (!playing || !step) {
      setShare(1)
      return
    }
    const lastsMs = 1000 * secondsOf(step) * TIMES[speed]
    let timer: ReturnType<typeof setTimeout> | undefined
    let frame = 0
    const rest = (): void => {
      setShare(1)
      timer = setTimeout(() => (at >= last ? setPlaying(false) : go(1)), REST_MS * TIMES[speed])
    }
    // Where motion is not wanted it steps, as long as it would have moved.
    if (prefersStill()) timer = setTimeout(rest, lastsMs)
    else {
      let begun: number | null = null
      const next = (now: number): void => {
        begun ??= now
        const share = (now - begun) / lastsMs
        if (share >= 1) rest()
        else {
          setShare(share)
          frame = requestAnimationFrame(next)
        }
      }
      setShare(0)
      frame = requestAnimationFrame(next)
    }
    return () => {
      clearTimeout(timer)
      cancelAnimationFrame(frame)
    }
  }, [playing, at, last, go, speed, steps])
  const play = useCallback(() => {
    setIndex((before) => (before >= last ? 0 : before))
    setPlaying((before) => !before)
  }, [last])
  const onKey = (event: KeyboardEvent): void => {
    const onButton = event.target instanceof HTMLElement && (event.target.tagName === 'BUTTON' || event.target.tagName === 'INPUT')
    if (event.key === 'ArrowRight' && !(onButton && event.target instanceof HTMLInputElement)) go(1)
    else if (event.key === 'ArrowLeft' && !(onButton && event.target instanceof HTMLInputElement)) go(-1)
    else if (event.key === 'Home') setIndex(0)
    else if (event.key === 'End') setIndex(last)
    else if (event.key === ' ' && !onButton) play()
    else return
    event.preventDefault()
  }
  const moment = shown.ok ? momentAt(shown.value, at, share) : null
  return { hand, setHand, speed, setSpeed, at, last, steps, step: steps[at], moment, moving: share < 1, shown, go, setIndex, playing, play, onKey }
}

const NO_STEPS: readonly Step[] = []

export type HandState = ReturnType<typeof useHand>
