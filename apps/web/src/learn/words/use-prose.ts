/** What documents say of looks and slips: in English as it stands there, in another language once that is here. */
import type { Language } from '@lemmata/core/language'
import { useEffect, useState } from 'react'

type Prose = (text: string) => string | null

export function useProse(language: Language): Prose {
  const [other, setOther] = useState<Prose | null>(null)
  useEffect(() => {
    if (language === 'en') return
    // Without it English stands there, where there is no connection.
    void import('@lemmata/core/prose').then(
      ({ proseIn }) => setOther(() => (text: string) => proseIn(text, language)),
      () => undefined,
    )
  }, [language])
  return other ?? ((text) => text)
}
