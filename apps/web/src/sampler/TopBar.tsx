import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { AccountMenu } from './AccountMenu.tsx'

/** The head of every page that is not a sampler's: back to the shelf, and the account. */
export function TopBar({ children }: { children?: ReactNode }) {
  return (
    <header className="head">
      <div className="head-name">
        <Link to="/" className="mark" aria-label="Lemmata, to the shelf">
          <img src="/mark.svg" alt="" />
          <span className="name">Lemmata</span>
        </Link>
      </div>
      <div className="head-middle">{children}</div>
      <div className="head-acts">
        <AccountMenu />
      </div>
    </header>
  )
}
