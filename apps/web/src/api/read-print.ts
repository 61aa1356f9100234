/** A print's answer, read as it comes: how far it is, then the file. */
import type { PrintLine } from '@lemmata/contract'
import { ApiError } from './client.ts'

export interface PrintedFile {
  readonly file: Blob
  readonly name: string
}

const LINE_FEED = 10

/** Rejects with the sentence of what hindered it, also where the answer ends before the file does. */
export async function readPrint(answer: Response, onShare: (share: number) => void): Promise<PrintedFile> {
  const reader = answer.body?.getReader()
  if (!reader) throw cutOff()
  let rest = new Uint8Array(0)
  for (;;) {
    const { done, value } = await reader.read()
    if (done) throw cutOff()
    rest = joined(rest, value)
    for (let end = rest.indexOf(LINE_FEED); end >= 0; end = rest.indexOf(LINE_FEED)) {
      const line = JSON.parse(new TextDecoder().decode(rest.subarray(0, end))) as PrintLine
      rest = rest.subarray(end + 1)
      if ('error' in line) throw new ApiError(answer.status, line.error.code, line.error.message, line)
      if ('bytes' in line) return { file: await readFile(reader, rest, line.bytes), name: `${line.name}.pdf` }
      onShare(line.share)
    }
  }
}

async function readFile(reader: ReadableStreamDefaultReader<Uint8Array<ArrayBuffer>>, begun: Uint8Array<ArrayBuffer>, bytes: number): Promise<Blob> {
  const parts = [begun]
  for (let have = begun.byteLength; have < bytes; ) {
    const { done, value } = await reader.read()
    if (done) throw cutOff()
    parts.push(value)
    have += value.byteLength
  }
  return new Blob(parts, { type: 'application/pdf' })
}

const cutOff = (): ApiError => new ApiError(502, 'print.cut-off', 'The connection ended before the PDF was whole. Make it again.', null)

function joined(before: Uint8Array<ArrayBuffer>, more: Uint8Array): Uint8Array<ArrayBuffer> {
  const all = new Uint8Array(before.byteLength + more.byteLength)
  all.set(before)
  all.set(more, before.byteLength)
  return all
}
