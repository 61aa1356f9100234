/** A document handed over as a file, readable and with its lines broken. */
export function download(name: string, document: unknown): void {
  downloadText(name, `${JSON.stringify(document, null, 2)}\n`, 'application/json')
}

export function downloadText(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = window.document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
