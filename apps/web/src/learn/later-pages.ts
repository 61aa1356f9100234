/** What a first visit does without: fetched as it is gone to, and before the connection can be lost. */
export const laterPages = {
  trainer: () => import('./trainer/TrainerPage.tsx'),
  prose: () => import('@lemmata/core/prose'),
}
