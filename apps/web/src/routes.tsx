/** Addresses: the shelf, the account, and a sampler's stages. */
import { createBrowserRouter, Navigate } from 'react-router'
import { Account } from './account/Account.tsx'
import { SignedIn } from './account/SignedIn.tsx'
import { SignIn } from './account/SignIn.tsx'
import { BriefStage } from './brief/BriefStage.tsx'
import { ClothStage } from './cloth/ClothStage.tsx'
import { PageError } from './sampler/PageError.tsx'
import { SamplerPage } from './sampler/SamplerPage.tsx'
import { SheetsStage } from './sheets/SheetsStage.tsx'
import { Shelf } from './shelf/Shelf.tsx'
import { StitchesStage } from './stitches/StitchesStage.tsx'
import { ThreadStage } from './thread/ThreadStage.tsx'

export const router = createBrowserRouter([
  { path: '/sign-in', element: <SignIn />, errorElement: <PageError /> },
  {
    element: <SignedIn />,
    errorElement: <PageError />,
    children: [
      { path: '/', element: <Shelf /> },
      { path: '/account', element: <Account /> },
      {
        path: '/samplers/:id',
        element: <SamplerPage />,
        errorElement: <PageError />,
        children: [
          { index: true, element: <Navigate to="cloth" replace /> },
          { path: 'brief', element: <BriefStage /> },
          { path: 'stitches', element: <StitchesStage /> },
          // The chart library comes with the stage that needs it.
          { path: 'order', lazy: async () => ({ Component: (await import('./order/OrderStage.tsx')).OrderStage }) },
          { path: 'cloth', element: <ClothStage /> },
          { path: 'thread', element: <ThreadStage /> },
          { path: 'sheets', element: <SheetsStage /> },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
])
