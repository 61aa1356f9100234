/** The button that makes the PDF, how far it is, and the PDF when it is made. Its own address has it at once, for whoever opens that. */
import { Button, Progress } from 'antd'
import type { MouseEvent } from 'react'
import { usePrint } from './use-print.ts'

interface Props {
  readonly address: string
  readonly revision: number
  readonly disabled: boolean
  readonly onMade: () => void
  /** What its button says; beside others it is not the main one. */
  readonly label?: string
}

export function MakePdf({ address, revision, disabled, onMade, label }: Props) {
  const { printing, make, stop } = usePrint(address, revision, onMade)
  const begin = (event: MouseEvent): void => {
    // Opened in a tab of its own by whoever wants that.
    if (event.ctrlKey || event.metaKey || event.shiftKey) return onMade()
    event.preventDefault()
    void make()
  }
  return (
    <span className="make-pdf" role="status">
      {printing.state === 'making' && (
        <>
          <Progress className="make-pdf-share" percent={Math.round(100 * printing.share)} size="small" aria-label="The PDF" />
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        </>
      )}
      {printing.state === 'made' && (
        <>
          <Button type="primary" href={printing.url} target="_blank" rel="noreferrer" title={inWords(printing.bytes)}>
            Open the PDF
          </Button>
          <Button href={printing.url} download={printing.name} title={printing.name}>
            Save it
          </Button>
        </>
      )}
      {printing.state === 'failed' && <span className="wrong">{printing.sentence}</span>}
      {(printing.state === 'none' || printing.state === 'failed') && (
        <Button type={label === undefined ? 'primary' : 'default'} href={address} target="_blank" disabled={disabled} onClick={begin}>
          {label ?? 'Make the PDF'}
        </Button>
      )}
    </span>
  )
}

const inWords = (bytes: number): string => (bytes < 950_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`)
