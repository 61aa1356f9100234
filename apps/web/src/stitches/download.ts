/** A document handed over as a file, readable and with its lines broken. */
export function download(name: string, document: unknown): void {
  const url = URL.createObjectURL(new Blob([`${JSON.stringify(document, null, 2)}\n`], { type: 'application/json' }))
  const link = window.document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
