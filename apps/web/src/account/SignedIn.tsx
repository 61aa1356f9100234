/** Everything behind it needs a signed-in teacher. */
import { Button } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { Navigate, Outlet, useLocation } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { sessionKnown } from '../store/session.ts'

export function SignedIn() {
  const teacher = useAppSelector((state) => state.session.teacher)
  const dispatch = useAppDispatch()
  const location = useLocation()
  const [failed, setFailed] = useState<string | null>(null)
  const wasSignedIn = useRef(false)
  useEffect(() => {
    if (teacher) wasSignedIn.current = true
  }, [teacher])
  const ask = useCallback(() => {
    setFailed(null)
    api.session().then(
      (answer) => dispatch(sessionKnown(answer.teacher)),
      (error: unknown) => setFailed(sentenceOf(error)),
    )
  }, [dispatch])
  useEffect(() => {
    if (teacher === undefined) ask()
  }, [teacher, ask])
  if (failed)
    return (
      <div className="empty" role="alert">
        <h1>Lemmata</h1>
        <p>{failed}</p>
        <Button type="primary" onClick={ask}>
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
