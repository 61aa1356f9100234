/** Something broke while showing a page: the rest of the product stays reachable. */
import { Link, useRouteError } from 'react-router'

export function PageError() {
  const error = useRouteError()
  return (
    <div className="empty" role="alert">
      <h1>This page could not be shown</h1>
      <p>What you changed is kept. Reload the page; if it happens again, go back to the shelf.</p>
      <p className="quiet">{error instanceof Error ? error.message : 'An unknown fault.'}</p>
      <Link to="/" reloadDocument>
        To the shelf
      </Link>
    </div>
  )
}
