/** A button that asks for a file; the same file may be chosen twice in a row. */
import { Button } from 'antd'
import { type ReactNode, useRef } from 'react'

export function FileButton({ label, onFile, children }: { label: string; onFile: (file: File) => void; children: ReactNode }) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
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
