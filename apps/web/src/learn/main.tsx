import './learn.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Learn } from './Learn.tsx'
import { keepForOffline } from './offline.ts'

const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')
createRoot(root).render(
  <StrictMode>
    <Learn path={location.pathname} query={location.search} />
  </StrictMode>,
)
void keepForOffline()
