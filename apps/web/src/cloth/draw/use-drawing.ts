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
  readonly typePlaces: (places: readonly Point[]) => void
  readonly setFigure: (id: string, value: number) => void
  readonly setWords: (words: string) => void
  /** What is there as it stands. */
  readonly finished: (places?: readonly Point[]) => readonly Guide[]
  readonly again: () => void
}

interface State {
  readonly tool: DrawTool
  readonly places: readonly Point[]
  readonly hover: Point | null
  readonly typed: Readonly<Record<string, number>>
  readonly words: string
}

export function useDrawing(): { readonly drawing: Drawing | null; readonly take: (toolId: string | null) => void; readonly takeAgain: () => void } {
  const [state, setState] = useState<State | null>(null)
  const before = useRef(DRAW_TOOLS[0]?.id ?? null)
  const take = useCallback((toolId: string | null): void => {
    const tool = [...DRAW_TOOLS, MEASURE].find((one) => one.id === toolId)
    if (tool && tool !== MEASURE) before.current = tool.id
    setState(tool ? { tool, places: [], hover: null, typed: {}, words: '' } : null)
  }, [])
  const takeAgain = useCallback(() => take(before.current), [take])
  const drawing = useMemo((): Drawing | null => {
    if (!state) return null
    const { tool, places, hover, typed, words } = state
    const all = hover && (tool.places === null || places.length < tool.places) ? [...places, hover] : places
    const figuresOf = (given: readonly Point[]): Readonly<Record<string, number>> => ({
      ...usualFigures(tool),
      ...tool.suggest?.(given),
      ...tool.read?.(given),
      ...typed,
    })
    return {
      tool,
      places,
      figures: figuresOf(all),
      words,
      guides: tool.make(all, figuresOf(all), words),
      setPlaces: (next, at = null) => setState((now) => now && { ...now, places: next, hover: at, typed: withoutRead(now, next) }),
      typePlaces: (next) => setState((now) => now && { ...now, places: next, hover: null }),
      setFigure: (id, value) => setState((now) => now && { ...now, hover: null, typed: { ...now.typed, [id]: value } }),
      setWords: (next) => setState((now) => now && { ...now, words: next }),
      finished: (given = places) => tool.make(given, figuresOf(given), words),
      again: () => setState((now) => now && { ...now, places: [], hover: null }),
    }
  }, [state])
  return { drawing, take, takeAgain }
}

function withoutRead({ tool, typed }: State, places: readonly Point[]): Readonly<Record<string, number>> {
  const told = tool.read?.(places) ?? {}
  return Object.keys(told).length === 0 ? typed : Object.fromEntries(Object.entries(typed).filter(([id]) => !(id in told)))
}
