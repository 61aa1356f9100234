/** Drawing on the cloth: the tool in hand, the places given so far, its figures, and what they make. */
import type { DrawTool } from '@lemmata/core/draw'
import { DRAW_TOOLS, MEASURE, usualFigures } from '@lemmata/core/draw'
import type { Guide } from '@lemmata/core/guide'
import type { Point } from '@lemmata/core/geometry'
import { useCallback, useMemo, useRef, useState } from 'react'

export interface Drawing {
  readonly tool: DrawTool
  readonly places: readonly Point[]
  readonly figures: Readonly<Record<string, number>>
  /** What it draws in letters; empty for what draws none. */
  readonly words: string
  /** With the place under the pointer, where one is given. None while it is not yet anything. */
  readonly guides: readonly Guide[]
  /** By hand, what was typed of figures that places tell is forgotten: the hand tells them anew. */
  readonly setPlaces: (places: readonly Point[], hover?: Point | null) => void
  /** What the hand has drawn so far in one go. */
  readonly setStroke: (stroke: readonly Point[]) => void
  readonly typePlaces: (places: readonly Point[]) => void
  readonly setFigure: (id: string, value: number) => void
  readonly setWords: (words: string) => void
  /** What is there as it stands. */
  readonly finished: (places?: readonly Point[], byHand?: boolean) => readonly Guide[]
  readonly again: () => void
}

interface State {
  readonly tool: DrawTool
  readonly places: readonly Point[]
  readonly hover: Point | null
  readonly byHand: boolean
  readonly typed: Readonly<Record<string, number>>
  readonly words: string
}

export function useDrawing(): { readonly drawing: Drawing | null; readonly take: (toolId: string | null) => void; readonly takeAgain: () => void } {
  const [state, setState] = useState<State | null>(null)
  const before = useRef(DRAW_TOOLS[0]?.id ?? null)
  const take = useCallback((toolId: string | null): void => {
    const tool = [...DRAW_TOOLS, MEASURE].find((one) => one.id === toolId)
    if (tool && tool !== MEASURE) before.current = tool.id
    setState(tool ? { tool, places: [], hover: null, byHand: false, typed: {}, words: '' } : null)
  }, [])
  const takeAgain = useCallback(() => take(before.current), [take])
  const drawing = useMemo((): Drawing | null => {
    if (!state) return null
    const { tool, places, hover, typed, words, byHand } = state
    const all = hover && (tool.places === null || places.length < tool.places) ? [...places, hover] : places
    const figuresOf = (given: readonly Point[]): Readonly<Record<string, number>> => ({
      ...usualFigures(tool),
      ...tool.suggest?.(given),
      ...tool.read?.(given),
      ...typed,
    })
    const made = (given: readonly Point[], hand: boolean): readonly Guide[] =>
      hand && tool.byHand ? tool.byHand(given, figuresOf(given)) : tool.make(given, figuresOf(given), words)
    return {
      tool,
      places,
      figures: figuresOf(all),
      words,
      guides: made(all, byHand),
      setPlaces: (next, at = null) => setState((now) => now && { ...now, places: next, hover: at, byHand: false, typed: withoutRead(now, next) }),
      setStroke: (stroke) => setState((now) => now && { ...now, places: stroke, hover: null, byHand: true }),
      typePlaces: (next) => setState((now) => now && { ...now, places: next, hover: null, byHand: false }),
      setFigure: (id, value) => setState((now) => now && { ...now, hover: null, typed: { ...now.typed, [id]: value } }),
      setWords: (next) => setState((now) => now && { ...now, words: next }),
      finished: (given = places, hand = byHand) => made(given, hand),
      again: () => setState((now) => now && { ...now, places: [], hover: null, byHand: false }),
    }
  }, [state])
  return { drawing, take, takeAgain }
}

function withoutRead({ tool, typed }: State, places: readonly Point[]): Readonly<Record<string, number>> {
  const told = tool.read?.(places) ?? {}
  return Object.keys(told).length === 0 ? typed : Object.fromEntries(Object.entries(typed).filter(([id]) => !(id in told)))
}
