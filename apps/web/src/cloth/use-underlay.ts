/** The picture that one draws over, loaded by its id; null while it comes, and where it is not kept here. */
import type { Sampler, Underlay } from '@lemmata/core/sampler'
import { useEffect, useMemo, useState } from 'react'

/** As strongly as lines over it are still seen, where nothing else is said. */
export const USUAL_OPACITY_PERCENT = 40

export interface LaidPicture {
  readonly image: HTMLImageElement
  readonly underlay: Underlay
}

export interface LoadedPicture {
  readonly id: string
  readonly image: HTMLImageElement | null
}

export function usePicture(id: string | null): LoadedPicture | null {
  const [loaded, setLoaded] = useState<LoadedPicture | null>(null)
  useEffect(() => {
    if (id === null) return setLoaded(null)
    let wanted = true
    const image = new Image()
    image.onload = () => wanted && setLoaded({ id, image })
    // It stays where it was sent: a sampler from elsewhere names a picture that is not here.
    image.onerror = () => wanted && setLoaded({ id, image: null })
    image.src = `/api/pictures/${id}`
    return () => {
      wanted = false
    }
  }, [id])
  return loaded?.id === id ? loaded : null
}

export function useUnderlay({ drawing }: Pick<Sampler, 'drawing'>): LaidPicture | null {
  const { underlay } = drawing
  const loaded = usePicture(underlay?.picture ?? null)
  return useMemo(() => (underlay && loaded?.image ? { image: loaded.image, underlay } : null), [underlay, loaded])
}
