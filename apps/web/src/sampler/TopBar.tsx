import { Button } from 'antd'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { api } from '../api/client.ts'
import { serverApi, useSessionQuery } from '../api/server-api.ts'
import { classClosed } from '../store/class.ts'
import { useAppDispatch } from '../store/index.ts'
import { samplerClosed } from '../store/sampler.ts'

/** The line at the top: back to the shelf, what is open, the account. */
export function TopBar({ children }: { children?: ReactNode }) {
  const { data: teacher } = useSessionQuery()
  const dispatch = useAppDispatch()
  const signOut = async (): Promise<void> => {
    await api.signOut().catch(() => undefined)
    dispatch(samplerClosed())
    dispatch(classClosed())
    dispatch(serverApi.util.resetApiState())
    await dispatch(serverApi.util.upsertQueryData('session', undefined, null))
  }
  return (
    <header className="top">
      <Link to="/" className="mark" aria-label="Lemmata, to the shelf">
        <img src="/mark.svg" alt="" />
        Lemmata
      </Link>
      <div className="grow" style={{ display: 'flex', alignItems: 'center', gap: 14 }}>
        {children}
      </div>
      {teacher && (
        <>
          <Link to="/account" className="quiet">
            {teacher.name}
          </Link>
          <Button size="small" onClick={() => void signOut()}>
            Sign out
          </Button>
        </>
      )}
    </header>
  )
}
