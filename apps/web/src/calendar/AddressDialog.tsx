/** An address to subscribe to: whoever has it sees dates and titles; a new one ends the old at once. */
import { App, Button, Input, Modal } from 'antd'
import { useEffect, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'

export function AddressDialog({ classId, onClose }: { readonly classId: string; readonly onClose: () => void }) {
  const [path, setPath] = useState<string | null | undefined>(undefined)
  const { message } = App.useApp()
  const told = async (what: () => Promise<string | null>): Promise<void> => {
    try {
      setPath(await what())
    } catch (error) {
      message.error(sentenceOf(error), 6)
    }
  }
  useEffect(() => {
    api.calendarAddress(classId).then(
      (answer) => setPath(answer.path),
      (error: unknown) => message.error(sentenceOf(error), 6),
    )
  }, [classId, message])
  const address = path ? `${location.origin}${path}` : null
  const make = (): Promise<void> => told(async () => (await api.renewCalendarAddress(classId)).path)
  return (
    <Modal open title="A calendar to subscribe to" footer={null} width={620} onCancel={onClose}>
      <p>
        Put this address into a calendar program, or give it to the class: dates and titles of the lessons stand there, and follow when you move one.
        Nobody&rsquo;s name is in it. Whoever has the address can read it, without signing in.
      </p>
      {address !== null && (
        <p className="days-off-new">
          <Input readOnly aria-label="The address" value={address} onFocus={(event) => event.target.select()} style={{ width: 400 }} />
          <Button
            onClick={() =>
              void navigator.clipboard.writeText(address).then(
                () => message.success('Copied.'),
                () => message.info('It could not be copied: mark it and copy it by hand.'),
              )
            }
          >
            Copy
          </Button>
        </p>
      )}
      {path !== undefined && (
        <p className="stored-more">
          <Button type={path === null ? 'primary' : 'default'} onClick={() => void make()}>
            {path === null ? 'Make an address' : 'A new address; the old one ends'}
          </Button>
          {path !== null && (
            <Button
              onClick={() =>
                void told(async () => {
                  await api.endCalendarAddress(classId)
                  return null
                })
              }
            >
              End it
            </Button>
          )}
        </p>
      )}
    </Modal>
  )
}
