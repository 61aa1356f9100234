import { Button } from 'antd'

interface Props {
  /** There is nothing on the shelf yet. */
  readonly first: boolean
  readonly onNew: () => void
  readonly onDemo: (which: 'weatherDiary' | 'sixThursdays') => void
}

/** An empty hoop teaches the first move; to a new account it offers the two worked samplers too. */
export function EmptyHoop({ first, onNew, onDemo }: Props) {
  return (
    <section className="empty-hoop">
      <svg width="150" height="150" viewBox="0 0 150 150" aria-hidden="true">
        <circle cx="75" cy="78" r="62" fill="#fffdf8" stroke="#c69c66" strokeWidth="9" />
        <circle cx="75" cy="78" r="57" fill="none" stroke="#6f4d2a" strokeWidth="1.2" />
        <rect x="68" y="8" width="14" height="9" rx="2" fill="#c9a64b" />
        <path d="M32 92 C48 66 66 100 84 80" fill="none" stroke="#5e4634" strokeWidth="2.4" strokeDasharray="7 4" strokeLinecap="round" />
        <path d="M86 79 L120 42" stroke="#6e7681" strokeWidth="3" strokeLinecap="round" />
      </svg>
      <h2>{first ? 'An empty hoop' : 'Another hoop'}</h2>
      <p>Say whom you teach and how long. Choose the first stitch; Lemmata lays it on the cloth with a thread and a needle that suit.</p>
      <Button type={first ? 'primary' : 'default'} onClick={onNew}>
        Begin with the Brief
      </Button>
      {first && (
        <p className="quiet">
          Or take one that is worked, to look at and to change:{' '}
          <Button size="small" onClick={() => onDemo('weatherDiary')}>
            Weather Diary
          </Button>{' '}
          <Button size="small" onClick={() => onDemo('sixThursdays')}>
            Six Thursdays
          </Button>
        </p>
      )}
    </section>
  )
}
