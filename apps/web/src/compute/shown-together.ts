/** What comes in quick succession is shown together: the first soon, the rest now and then, the last at once. */

/** Long beside what it takes to show it: shown more often, all of it is there later. */
const TOGETHER_MS = 700

export interface ShownTogether {
  /** Something new is there. */
  readonly soon: () => void
  /** Shown now, and what was to be shown later with it. */
  readonly now: () => void
  readonly drop: () => void
}

/** `firstMs`: so long the first waits for others to be shown with; at once where it is 0. `restMs`: so long between one showing and the next. */
export function showTogether(show: () => void, firstMs = 0, restMs = TOGETHER_MS): ShownTogether {
  let timer: ReturnType<typeof setTimeout> | null = null
  let before: number | null = null
  const drop = (): void => {
    if (timer !== null) clearTimeout(timer)
    timer = null
  }
  const now = (): void => {
    drop()
    before = performance.now()
    show()
  }
  const soon = (): void => {
    if (timer !== null) return
    const rest = before === null ? firstMs : before + restMs - performance.now()
    if (rest <= 0) now()
    else timer = setTimeout(now, rest)
  }
  return { soon, now, drop }
}
