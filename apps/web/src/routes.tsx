/** Addresses: the door, the shelf, the account, and a sampler's stages. Each is loaded when it is gone to. */
import { createBrowserRouter, Navigate } from 'react-router'
import { PageError } from './sampler/PageError.tsx'

export const router = createBrowserRouter([
  {
    hydrateFallbackElement: <></>,
    errorElement: <PageError />,
    children: [
      { path: '/sign-in', lazy: async () => ({ Component: (await import('./account/SignIn.tsx')).SignIn }) },
      {
        lazy: async () => ({ Component: (await import('./Inside.tsx')).Inside }),
        children: [
          { path: '/', lazy: async () => ({ Component: (await import('./shelf/Shelf.tsx')).Shelf }) },
          { path: '/stores', lazy: async () => ({ Component: (await import('./stores/StoresPage.tsx')).StoresPage }) },
          { path: '/account', lazy: async () => ({ Component: (await import('./account/Account.tsx')).Account }) },
          {
            path: '/samplers/:id',
            lazy: async () => ({ Component: (await import('./sampler/SamplerPage.tsx')).SamplerPage }),
            errorElement: <PageError />,
            children: [
              { index: true, element: <Navigate to="cloth" replace /> },
              { path: 'brief', lazy: async () => ({ Component: (await import('./brief/BriefStage.tsx')).BriefStage }) },
              { path: 'stitches', lazy: async () => ({ Component: (await import('./stitches/StitchesStage.tsx')).StitchesStage }) },
              { path: 'order', lazy: async () => ({ Component: (await import('./order/OrderStage.tsx')).OrderStage }) },
              { path: 'cloth', lazy: async () => ({ Component: (await import('./cloth/ClothStage.tsx')).ClothStage }) },
              { path: 'thread', lazy: async () => ({ Component: (await import('./thread/ThreadStage.tsx')).ThreadStage }) },
              { path: 'kit', lazy: async () => ({ Component: (await import('./kit/KitPage.tsx')).KitPage }) },
              { path: 'calendar', lazy: async () => ({ Component: (await import('./calendar/CalendarStage.tsx')).CalendarStage }) },
              { path: 'teach/:lesson?/:leaf?', lazy: async () => ({ Component: (await import('./teach/TeachPage.tsx')).TeachPage }) },
              { path: 'class', lazy: async () => ({ Component: (await import('./class/ClassStage.tsx')).ClassStage }) },
              { path: 'sheets', lazy: async () => ({ Component: (await import('./sheets/SheetsStage.tsx')).SheetsStage }) },
            ],
          },
          { path: '*', element: <Navigate to="/" replace /> },
        ],
      },
    ],
  },
])
