/** Whether what is seen here is on the server, truthfully. */
import { counted } from '@lemmata/core/units'
import { Button } from 'antd'
import { Link } from 'react-router'
import { BrokenThreadGlyph, KnotGlyph } from '../look/Glyphs.tsx'
import { sendNow, useAppSelector } from '../store/index.ts'
import type { SaveStatus } from '../store/open-document.ts'

/** The worst comes last. */
const STATUSES: readonly SaveStatus[] = ['saved', 'saving', 'waiting', 'offline', 'signed-out']

/** Of the sampler, of the class beside it, and of the stores. */
export function SaveState() {
  const sampler = useAppSelector((state) => state.sampler.open)
  const group = useAppSelector((state) => state.class.open)
  const stores = useAppSelector((state) => state.stores.open)
  const open = [sampler, group, stores].flatMap((one) => (one ? [one] : []))
  const status = STATUSES[Math.max(0, ...open.map((one) => STATUSES.indexOf(one.status)))] ?? 'saved'
  const changes = counted(
    open.reduce((sum, one) => sum + one.pending.length, 0),
    'change',
  )
  return (
    <span className="saved" role="status" data-status={status}>
      {status === 'saved' && <span className="quiet">Saved</span>}
      {(status === 'waiting' || status === 'saving') && <span className="quiet">Saving …</span>}
      {status === 'offline' && (
        <>
          <KnotGlyph />
          <span className="caution">No connection: {changes} kept here</span>
          <Button size="small" onClick={sendNow}>
            Send now
          </Button>
        </>
      )}
      {status === 'signed-out' && (
        <>
          <BrokenThreadGlyph />
          <span className="wrong">Signed out: {changes} kept here.</span>
          <Link to="/sign-in" state={{ from: location.pathname }}>
            Sign in again
          </Link>
        </>
      )}
    </span>
  )
}
