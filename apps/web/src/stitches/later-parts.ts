/** What the wall does without: fetched as it is asked for, or once the wall is there. */
export const laterParts = {
  panel: () => import('./StitchPanel.tsx'),
  compare: () => import('./Compare.tsx'),
  write: () => import('./write/WriteStitch.tsx'),
}

export function fetchLaterParts(): void {
  for (const fetch of Object.values(laterParts)) fetch().catch(() => undefined)
}
