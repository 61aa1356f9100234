/** Stepping through a stitch's moves: which move, playing or not, how fast, which hand. */
import { roleThreads, type WorkedExercise } from '@lemmata/core/exercise'
import { demonstrate, type Hand as HandSide } from '@lemmata/core/steps'
import { type KeyboardEvent, useCallback, useEffect, useMemo, useState } from 'react'

export type Speed = 'slow' | 'usual' | 'quick'
const STEP_MS: Readonly<Record<Speed, number>> = { slow: 3200, usual: 1600, quick: 700 }

export function useHand(done: WorkedExercise, leftFirst = false) {
  const [hand, setHand] = useState<HandSide>(leftFirst ? 'left' : 'right')
  const [speed, setSpeed] = useState<Speed>('usual')
  const [index, setIndex] = useState(0)
  const [playing, setPlaying] = useState(false)
  const { assigned } = done
  const { document, parameters, materials, variant } = assigned
  const shown = useMemo(
    () => demonstrate({ document, parameters, materials, threads: roleThreads(assigned), hand }),
    [document, parameters, materials, assigned, hand],
  )
  const steps = shown.ok ? shown.value.steps : []
  const last = Math.max(0, steps.length - 1)
  const at = Math.min(index, last)
  const go = useCallback((by: number) => setIndex((before) => Math.min(Math.max(0, Math.min(before, last) + by), last)), [last])
  useEffect(() => {
    setIndex(0)
    setPlaying(false)
  }, [document.id, variant])
  useEffect(() => {
    if (!playing) return
    const timer = setTimeout(() => {
      if (at >= last) setPlaying(false)
      else go(1)
    }, STEP_MS[speed])
    return () => clearTimeout(timer)
  }, [playing, at, last, go, speed])
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
  return { hand, setHand, speed, setSpeed, at, last, steps, step: steps[at], shown, go, setIndex, playing, play, onKey }
}

export type HandState = ReturnType<typeof useHand>
