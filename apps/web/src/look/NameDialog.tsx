import { Input, type InputRef, Modal } from 'antd'
import { useRef, useState } from 'react'

interface Props {
  readonly title: string
  /** What its button does. */
  readonly act: string
  readonly name: string
  readonly placeholder?: string
  readonly onName: (name: string) => void
  readonly onClose: () => void
}

/** Asks for a name: the field has the focus, Enter does what the button does. */
export function NameDialog({ title, act, name, placeholder, onName, onClose }: Props) {
  const [typed, setTyped] = useState(name)
  const field = useRef<InputRef>(null)
  const wanted = typed.trim()
  const keep = (): void => {
    if (wanted === '') return
    if (wanted !== name) onName(wanted)
    onClose()
  }
  return (
    <Modal
      open
      title={title}
      okText={act}
      width={440}
      onOk={keep}
      onCancel={onClose}
      okButtonProps={{ disabled: wanted === '' }}
      afterOpenChange={(open) => open && field.current?.focus({ cursor: 'all' })}
    >
      <Input
        ref={field}
        aria-label="Name"
        placeholder={placeholder}
        value={typed}
        maxLength={120}
        onChange={(event) => setTyped(event.target.value)}
        onPressEnter={keep}
      />
    </Modal>
  )
}
