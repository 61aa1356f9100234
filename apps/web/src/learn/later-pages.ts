/** What a first visit does without: fetched as it is gone to, and before the connection can be lost. */
export const laterPages = {
  trainer: () => import('./trainer/TrainerPage.tsx'),
  photo: () => import('./photo/PhotoPage.tsx'),
  // Its worker too: begun once, so that all it needs is kept on the device.
  photoWorker: async () => {
    const { startPhotoWorker } = await import('../photo/index.ts')
    const worker = startPhotoWorker()
    setTimeout(() => worker.terminate(), 30_000)
  },
  // English stands in the documents themselves.
  prose: () => (document.documentElement.lang === 'en' ? Promise.resolve() : import('@lemmata/core/prose')),
}
