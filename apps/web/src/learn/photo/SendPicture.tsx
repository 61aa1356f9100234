/** The picture goes to her teacher when she says so, each time anew, and comes back when she says so. */
import type { SentPicture } from '@lemmata/contract'
import { useState } from 'react'
import { talk } from '../talk.ts'
import { troubleInWords } from '../trouble.ts'
import type { KeptInPage } from '../use-kept.ts'
import { dayIn, useLanguage, useWords } from '../words/index.ts'

interface Props {
  readonly page: KeptInPage
  readonly exercise: string
  readonly window: ImageBitmap
}

/** Drawn anew: nothing but what is seen in the card's window, and nothing that the camera wrote beside it. */
async function drawn(window: ImageBitmap): Promise<Blob> {
  const canvas = new OffscreenCanvas(window.width, window.height)
  canvas.getContext('2d')?.drawImage(window, 0, 0)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
}

export function SendPicture({ page, exercise, window }: Props) {
  const all = useWords()
  const words = all.photo
  const [at, setAt] = useState<'here' | 'going' | 'sent'>('here')
  const [trouble, setTrouble] = useState<string | null>(null)
  const send = async (): Promise<void> => {
    const { key } = page.kept
    if (key === null) return
    setAt('going')
    setTrouble(null)
    try {
      await talk.sendPicture(key, exercise, await drawn(window))
      setAt('sent')
      await page.send(true)
    } catch (thrown) {
      setAt('here')
      setTrouble(troubleInWords(thrown, all, words.notSent))
    }
  }
  return (
    <div className="photo-send">
      <button type="button" disabled={at !== 'here'} onClick={() => void send()}>
        {at === 'sent' ? words.isSent : at === 'going' ? words.isGoing : words.sendIt}
      </button>
      <p className="quiet">{words.whoSees}</p>
      {trouble !== null && <p role="alert">{trouble}</p>}
    </div>
  )
}

/** What her teacher can see of her rows of this exercise. */
export function SentPictures({ page, sent }: Pick<Props, 'page'> & { readonly sent: readonly SentPicture[] }) {
  const all = useWords()
  const words = all.photo
  const language = useLanguage()
  const [trouble, setTrouble] = useState<string | null>(null)
  if (sent.length === 0) return null
  const ask = async (what: (key: string) => Promise<unknown>): Promise<void> => {
    const { key } = page.kept
    if (key === null) return
    setTrouble(null)
    await what(key).catch((thrown: unknown) => setTrouble(troubleInWords(thrown, all, words.notSent)))
    await page.send(true)
  }
  return (
    <details className="learn-slips photo-sent" open>
      <summary>{words.sent(sent.length)}</summary>
      <ul>
        {sent.map(({ id, at, mayShow }) => (
          <li key={id}>
            <span>{dayIn(at, words.dayAndTime, language)}</span>
            <button type="button" onClick={() => void ask((key) => talk.takeBack(key, id))}>
              {words.takeBack}
            </button>
            <label>
              <input type="checkbox" checked={mayShow} onChange={(event) => void ask((key) => talk.mayShow(key, id, event.target.checked))} />
              {words.mayShow}
            </label>
          </li>
        ))}
      </ul>
      {trouble !== null && <p role="alert">{trouble}</p>}
    </details>
  )
}
