/** Everything behind it needs a signed-in teacher. */
import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import { Navigate, Outlet, useLocation } from 'react-router'
import { failedWith, useSessionQuery } from '../api/server-api.ts'

export function SignedIn() {
  const { data: teacher, error, refetch } = useSessionQuery()
  const location = useLocation()
  const wasSignedIn = useRef(false)
  useEffect(() => {
    if (teacher) wasSignedIn.current = true
  }, [teacher])
  const failed = failedWith(error)
  if (failed !== null && teacher === undefined)
    return (
      <div className="empty" role="alert">
        <h1>Lemmata</h1>
        <p>{failed}</p>
        <Button type="primary" onClick={() => void refetch()}>
          Try again
        </Button>
      </div>
    )
  if (teacher === undefined) return <div className="empty quiet">Opening …</div>
  if (teacher === null) {
    // Whoever signed out on purpose is followed by someone who begins at the shelf; a stranger's link is kept.
    return <Navigate to="/sign-in" replace state={wasSignedIn.current ? null : { from: location.pathname }} />
  }
  return <Outlet />
}
