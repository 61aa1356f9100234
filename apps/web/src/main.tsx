import 'antd/dist/reset.css'
import './look/look.css'
import { App as AntApp, ConfigProvider } from 'antd'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { startWorkers } from './compute/started.ts'
import { showLastSeen } from './drawing/last-seen.ts'
import { THEME } from './look/theme.ts'
import { fontsReady } from './look/fonts.ts'
import { router } from './routes.tsx'

// What a sampler waits for longest is begun while the rest of the page is on its way.
if (location.pathname.startsWith('/samplers/')) startWorkers()
void showLastSeen(location.pathname)

const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')
// Canvases measure and set type: they wait for the faces, at most a moment.
await Promise.race([fontsReady, new Promise((resolve) => setTimeout(resolve, 1500))])
createRoot(root).render(
  <StrictMode>
    <ConfigProvider theme={THEME}>
      <AntApp>
        <RouterProvider router={router} />
      </AntApp>
    </ConfigProvider>
  </StrictMode>,
)
