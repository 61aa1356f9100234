/** What a first visit does without: fetched as it is gone to, and before the connection can be lost. */
export const laterPages = {
  trainer: () => import('./trainer/TrainerPage.tsx'),
  // English stands in the documents themselves.
  prose: () => (document.documentElement.lang === 'en' ? Promise.resolve() : import('@lemmata/core/prose')),
}
