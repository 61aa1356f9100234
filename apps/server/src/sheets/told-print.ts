/**
 * A print in one answer: first lines that say how far it is, then the file itself. Whoever hangs up has stopped it, so that nothing of it
 * is kept anywhere and any process can make it.
 */
import type { PrintLine } from '@lemmata/contract'
import type { Response } from 'express'
import { HttpProblem } from '../http/problem.ts'
import type { PrintWatch } from './printer.ts'

/** Less than this further is not told. */
const TOLD_EACH = 0.005

/** `make`: resolves to the PDF; rejects with what is to be said, which is then the last line. `made`: it was not stopped before it was. */
export async function tellPrint(
  response: Response,
  name: string,
  make: (watch: PrintWatch) => Promise<Uint8Array>,
  made: () => Promise<unknown>,
): Promise<void> {
  const stop = new AbortController()
  response.once('close', () => stop.abort())
  // Compressing would hold the lines back until there are enough of them.
  response.type('application/x-ndjson').set('cache-control', 'no-store, no-transform')
  const tell = (line: PrintLine): void => void response.write(`${JSON.stringify(line)}\n`)
  let told = -1
  const onShare = (share: number): void => {
    // A book that is set once more, closer, does not go back in what is told of it.
    if (share < told + TOLD_EACH || stop.signal.aborted) return
    told = share
    tell({ share })
  }
  onShare(0)
  try {
    const pdf = await make({ onShare, signal: stop.signal })
    if (stop.signal.aborted) return
    await made()
    tell({ bytes: pdf.byteLength, name })
    response.end(Buffer.from(pdf))
  } catch (thrown) {
    if (stop.signal.aborted) return
    const known = thrown instanceof HttpProblem ? thrown : new HttpProblem(500, 'print.failed', 'This PDF could not be made. Nothing of the sampler is lost.')
    tell({ error: known.answer().error })
    response.end()
    if (known !== thrown) throw thrown
  }
}
