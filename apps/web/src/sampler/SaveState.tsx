/** Whether what is seen here is on the server, truthfully. */
import { Button } from 'antd'
import { Link } from 'react-router'
import { BrokenThreadGlyph, KnotGlyph } from '../look/Glyphs.tsx'
import type { OpenSampler } from '../store/sampler.ts'
import { sendNow } from '../store/index.ts'

export function SaveState({ open }: { open: OpenSampler }) {
  const changes = open.pending.length === 1 ? '1 change' : `${open.pending.length} changes`
  return (
    <span className="saved" role="status" data-status={open.status}>
      {open.status === 'saved' && <span className="quiet">Saved</span>}
      {(open.status === 'waiting' || open.status === 'saving') && <span className="quiet">Saving …</span>}
      {open.status === 'offline' && (
        <>
          <KnotGlyph />
          <span className="caution">No connection: {changes} kept here</span>
          <Button size="small" onClick={sendNow}>
            Send now
          </Button>
        </>
      )}
      {open.status === 'signed-out' && (
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
