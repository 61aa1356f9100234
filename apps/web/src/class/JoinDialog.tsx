/** The code by which learners join: read aloud, shown as a square, renewed, ended. */
import { Button, Modal, QRCode, Switch } from 'antd'
import { api } from '../api/client.ts'
import { editClass } from '../store/index.ts'
import type { LearningInPage } from './use-learning.ts'

interface Props {
  readonly classId: string
  readonly learning: LearningInPage
  /** Nobody joins such a class by a code. */
  readonly areChildren: boolean
  readonly onClose: () => void
}

export function JoinDialog({ classId, learning: { learning, change }, areChildren, onClose }: Props) {
  const code = learning?.code ?? null
  const address = code === null ? '' : `${location.origin}/learn?code=${code}`
  return (
    <Modal open title="Let learners join" footer={null} onCancel={onClose} width={520}>
      <label className="join-children">
        <Switch
          size="small"
          checked={areChildren}
          onChange={(to) => {
            editClass({ kind: 'set-children', children: to })
            if (to) void change(() => api.endJoinCode(classId))
          }}
        />
        They are children
      </label>
      {areChildren ? (
        <p>
          Nobody joins by a code: add them by name, and give each, or a parent, a link of her own from her card. Their pictures stay on their own devices. Ask
          parents as your rules want it.
        </p>
      ) : code === null ? (
        <>
          <p>With a code they join on their own phones, with a name and a hand and no mail address.</p>
          <Button type="primary" onClick={() => void change(() => api.renewJoinCode(classId))}>
            Make a code
          </Button>
        </>
      ) : (
        <div className="join-code">
          <QRCode type="svg" value={address} size={168} bordered={false} color="#1F2A37" bgColor="#FFFDF8" aria-label={`The square code of ${address}`} />
          <div>
            <p className="quiet">
              At <b>{`${location.host}/learn`}</b> with the code
            </p>
            <p className="join-letters">
              {code.slice(0, 4)} {code.slice(4)}
            </p>
            <p>
              <Button onClick={() => void navigator.clipboard.writeText(address)}>Copy the address</Button>{' '}
              <Button onClick={() => window.print()}>Print it</Button>
            </p>
            <p>
              <Button onClick={() => void change(() => api.renewJoinCode(classId))}>Another code</Button>{' '}
              <Button onClick={() => void change(() => api.endJoinCode(classId))}>Nobody joins any more</Button>
            </p>
            <p className="why">Whoever has joined stays in the class. Another code ends this one at once.</p>
          </div>
        </div>
      )}
    </Modal>
  )
}
