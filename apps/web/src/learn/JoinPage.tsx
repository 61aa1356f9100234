/** Coming to a class: by its code, with a name, a hand and a word; or back by her own link, with her word. */
import { useEffect, useState } from 'react'
import type { LinkAnswer, JoinedAnswer } from '@lemmata/contract'
import { talk } from './talk.ts'
import { troubleInWords } from './trouble.ts'
import { useWords } from './words/index.ts'

interface Props {
  readonly code: string
  readonly link: string | null
  /** Why she is asked again. */
  readonly trouble: Error | null
  readonly onJoined: (answer: JoinedAnswer) => void
}

export function JoinPage({ code, link, trouble, onJoined }: Props) {
  const words = useWords()
  const [wrong, setWrong] = useState(trouble)
  const [busy, setBusy] = useState(false)
  const send = (asked: () => Promise<JoinedAnswer>): void => {
    setBusy(true)
    setWrong(null)
    asked()
      .then(onJoined, setWrong)
      .finally(() => setBusy(false))
  }
  return (
    <main className="learn-join">
      <img src="/mark.svg" alt="" width={44} height={44} />
      {link === null ? <ByCode {...{ code, busy }} onSend={send} /> : <ByLink {...{ link, busy }} onSend={send} />}
      {wrong !== null && (
        <p className="wrong" role="alert">
          {troubleInWords(wrong, words)}
        </p>
      )}
      <p className="quiet">{words.join.kept}</p>
    </main>
  )
}

interface FormProps {
  readonly busy: boolean
  readonly onSend: (asked: () => Promise<JoinedAnswer>) => void
}

function ByCode({ code: given, busy, onSend }: FormProps & { readonly code: string }) {
  const words = useWords().join
  const [code, setCode] = useState(given)
  const [name, setName] = useState('')
  const [hand, setHand] = useState<'left' | 'right' | null>(null)
  const [word, setWord] = useState('')
  const isReady = code.trim().length >= 8 && name.trim() !== '' && hand !== null && word.trim().length >= 4
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        if (isReady && hand) onSend(() => talk.join({ code, name: name.trim(), hand, word }))
      }}
    >
      <h1>{words.title}</h1>
      <label>
        {words.code}
        <input
          value={code}
          onChange={(event) => setCode(event.target.value)}
          autoCapitalize="characters"
          autoComplete="off"
          spellCheck={false}
          autoFocus={given === ''}
        />
      </label>
      <label>
        {words.name}
        <input value={name} maxLength={120} onChange={(event) => setName(event.target.value)} autoComplete="given-name" autoFocus={given !== ''} />
      </label>
      <fieldset>
        <legend>{words.hand}</legend>
        {(['left', 'right'] as const).map((one) => (
          <label key={one} className="learn-choice">
            <input type="radio" name="hand" checked={hand === one} onChange={() => setHand(one)} /> {words.hands[one]}
          </label>
        ))}
      </fieldset>
      <label>
        {words.word}
        <input value={word} maxLength={40} onChange={(event) => setWord(event.target.value)} autoComplete="off" autoCapitalize="none" />
        <span className="quiet">{words.wordHint}</span>
      </label>
      <button type="submit" className="learn-main" disabled={busy || !isReady}>
        {words.join}
      </button>
    </form>
  )
}

function ByLink({ link, busy, onSend }: FormProps & { readonly link: string }) {
  const words = useWords().join
  const [word, setWord] = useState('')
  const [about, setAbout] = useState<LinkAnswer | null>(null)
  useEffect(() => {
    talk.link(link).then(setAbout, () => undefined)
  }, [link])
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        onSend(() => talk.open({ link, word }))
      }}
    >
      <h1>{about?.className ?? words.yourClass}</h1>
      <label>
        {about?.isNew === true ? words.chooseWord : words.yourWord}
        <input value={word} maxLength={40} onChange={(event) => setWord(event.target.value)} autoComplete="off" autoCapitalize="none" autoFocus />
      </label>
      <button type="submit" className="learn-main" disabled={busy || word.trim().length < 4}>
        {words.open}
      </button>
    </form>
  )
}
