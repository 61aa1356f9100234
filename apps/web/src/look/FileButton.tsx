/** A button that asks for a file; the same file may be chosen twice in a row. */
import { Button } from 'antd'
import { type ReactNode, useRef } from 'react'

interface Props {
  readonly label: string
  /** As a file field has it; JSON where nothing is said. */
  readonly accept?: string
  readonly onFile: (file: File) => void
  readonly children: ReactNode
}

export function FileButton({ label, accept = 'application/json,.json', onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        aria-label={label}
        onChange={(event) => {
          const chosen = event.target.files?.[0]
          event.target.value = ''
          if (chosen) onFile(chosen)
        }}
      />
      <Button onClick={() => input.current?.click()}>{children}</Button>
    </>
  )
}
