/** Addresses of files that this page has in its memory: one for each file, as long as anybody shows it. */

const held = new Map<Blob, { readonly url: string; holders: number }>()

export function holdUrl(file: Blob): { readonly url: string; readonly release: () => void } {
  const one = held.get(file) ?? { url: URL.createObjectURL(file), holders: 0 }
  held.set(file, one)
  one.holders += 1
  return {
    url: one.url,
    release: () => {
      one.holders -= 1
      if (one.holders > 0) return
      URL.revokeObjectURL(one.url)
      held.delete(file)
    },
  }
}
