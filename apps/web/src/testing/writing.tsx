/** The page on which a stitch is written, begun from one of the library; what is kept in the sampler is kept here. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import { newSampler } from '@lemmata/core/sampler'
import { LIBRARY } from '@lemmata/core/stitches'
import { render } from '@testing-library/react'
import { Provider } from 'react-redux'
import { store } from '../store/index.ts'
import { WriteStitch } from '../stitches/write/WriteStitch.tsx'

export function openWriting(id: string): { readonly kept: StitchDocument[]; readonly first: StitchDocument } {
  const kept: StitchDocument[] = []
  const first = LIBRARY.find((one) => one.id === id)
  if (!first) throw new Error(id)
  render(
    <Provider store={store}>
      <WriteStitch
        first={first}
        around={surroundingsOf(newSampler('Write'))}
        clothHex="#EFE6D2"
        onSampler={(document) => kept.push(document)}
        onLibrary={() => Promise.resolve()}
        onClose={() => undefined}
      />
    </Provider>,
  )
  return { kept, first }
}
