/** Prints where several processes serve: asked of the one that leads them, whose queue is that of all. */
import { askLeader, thrownOf } from '../processes/index.ts'
import { type PrintJob, printStopped, type PrintWatch } from './printer.ts'

/** Asked by this process, and not made yet: how far each is, null where it waits. */
const asked = new Set<{ share: number | null }>()

export function printByLeader(account: string, order: Omit<PrintJob, 'id'>, { onShare, signal }: PrintWatch = {}): Promise<Uint8Array> {
  if (signal?.aborted === true) return Promise.reject(printStopped())
  const one: { share: number | null } = { share: null }
  asked.add(one)
  const made = new Promise<Uint8Array>((resolve, reject) => {
    const tell = askLeader({ kind: 'print', account, order }, (answer) => {
      if (answer.kind === 'share') {
        one.share = answer.share
        onShare?.(answer.share)
      } else if (answer.kind === 'made') resolve(answer.pdf)
      else if (answer.kind === 'refused') reject(thrownOf(answer.refusal))
    })
    signal?.addEventListener('abort', () => {
      tell('stop-print')
      reject(printStopped())
    })
  })
  return made.finally(() => asked.delete(one))
}

export function printingByLeader(): { readonly making: number; readonly waiting: number } {
  const making = [...asked].filter((one) => one.share !== null).length
  return { making, waiting: asked.size - making }
}
