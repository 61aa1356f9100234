/** A picture that a learner has sent; gone where she has taken it back. */
import { useState } from 'react'

interface Props {
  readonly classId: string
  readonly id: string
  readonly label: string
}

export function SentPicture({ classId, id, label }: Props) {
  const [isGone, setGone] = useState(false)
  if (isGone) return <p className="quiet">Taken back.</p>
  const address = `/api/classes/${classId}/pictures/${id}`
  return (
    <a href={address} target="_blank" rel="noreferrer" title="Open it alone">
      <img className="sent-picture" src={address} alt={label} onError={() => setGone(true)} />
    </a>
  )
}
