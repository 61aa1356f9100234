/** Pages that a first visit does without: fetched as they are gone to, and before the connection can be lost. */
export const laterPages = {
  trainer: () => import('./trainer/TrainerPage.tsx'),
}
