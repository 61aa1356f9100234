/** The teacher's account: who is signed in and where, the password, and everything that is kept: out as a file, or away. */
import type { BroughtBack, Happened, RoomAnswer, SessionSeen } from '@lemmata/contract'
import { counted, listInWords } from '@lemmata/core/units'
import { Alert, App, Button, Form, Input, Modal } from 'antd'
import dayjs from 'dayjs'
import { useCallback, useEffect, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { FileButton } from '../look/FileButton.tsx'
import { TopBar } from '../sampler/TopBar.tsx'
import { useSessionQuery } from '../api/server-api.ts'
import { download } from '../stitches/download.ts'

interface Fields {
  readonly current: string
  readonly next: string
}

export function Account() {
  const { data: teacher } = useSessionQuery()
  const [changed, setChanged] = useState(0)
  const [problem, setProblem] = useState<string | null>(null)
  const [form] = Form.useForm<Fields>()
  const { message } = App.useApp()
  const change = async ({ current, next }: Fields): Promise<void> => {
    setProblem(null)
    try {
      await api.changePassword(current, next)
      form.resetFields()
      message.success('Your password is changed. Wherever else you were signed in, you are no longer.')
      setChanged((before) => before + 1)
    } catch (error) {
      setProblem(sentenceOf(error))
    }
  }
  return (
    <div className="page">
      <TopBar />
      <main className="page-narrow" style={{ marginTop: 30 }}>
        <div className="sheet">
          <h1>Account</h1>
          <p>
            {teacher?.name} <span className="quiet">({teacher?.email})</span>
          </p>
          <h2 style={{ margin: '16px 0 8px' }}>Password</h2>
          <Form<Fields> form={form} layout="vertical" onFinish={(fields) => void change(fields)} requiredMark={false}>
            <Form.Item name="current" label="Present password" rules={[{ required: true, message: 'Type your present password.' }]}>
              <Input.Password autoComplete="current-password" />
            </Form.Item>
            <Form.Item name="next" label="New password" rules={[{ required: true, min: 10, message: 'Use at least 10 characters.' }]}>
              <Input.Password autoComplete="new-password" />
            </Form.Item>
            {problem && <Alert type="error" title={problem} style={{ marginBottom: 12 }} role="alert" />}
            <Button type="primary" htmlType="submit">
              Change the password
            </Button>
          </Form>
          <Sessions key={changed} />
          <Trail key={`trail ${changed}`} />
          <Everything />
        </div>
      </main>
    </div>
  )
}

/** The latest; of very many the rest is counted. */
const SHOWN = 6
const WHEN = 'D MMMM YYYY, HH:mm'

/** Where she is signed in, and out of everywhere else. */
function Sessions() {
  const [sessions, setSessions] = useState<readonly SessionSeen[] | null>(null)
  const { message } = App.useApp()
  const attempt = useCallback(
    (what: () => Promise<unknown>): void =>
      void what()
        .then(async () => setSessions((await api.sessions()).sessions))
        .catch((thrown: unknown) => void message.error(sentenceOf(thrown))),
    [message],
  )
  useEffect(() => attempt(() => Promise.resolve()), [attempt])
  const others = (sessions ?? []).filter((one) => !one.isThis)
  return (
    <section>
      <h2 style={{ margin: '26px 0 8px' }}>Where you are signed in</h2>
      <ul className="account-list">
        {(sessions ?? []).slice(0, SHOWN).map(({ since, isThis }) => (
          <li key={`${since} ${isThis}`}>
            {isThis ? 'Here' : 'Another browser'}, since {dayjs(since).format(WHEN)}
          </li>
        ))}
        {sessions && sessions.length > SHOWN && <li>and {counted(sessions.length - SHOWN, 'more browser')}</li>}
      </ul>
      <Button disabled={others.length === 0} onClick={() => attempt(api.signOutElsewhere)}>
        {others.length === 0 ? 'Signed in nowhere else' : `Sign out of ${counted(others.length, 'other browser')}`}
      </Button>
    </section>
  )
}

const HAPPENED: Readonly<Record<Happened['what'], string>> = {
  'signed-up': 'Account made',
  'signed-in': 'Signed in',
  'sign-in-failed': 'Sign-in with a wrong password',
  'signed-out-elsewhere': 'Signed out of other browsers',
  'password-changed': 'Password changed',
  'reset-asked': 'Link for a new password asked for',
  'reset-done': 'New password set by a link',
  'everything-exported': 'Everything saved as one file',
  'everything-brought-back': 'Everything of such a file brought in',
  'account-deleted': 'Account deleted',
}

/** What happened with it lately: what was not hers she sees here. */
function Trail() {
  const [happened, setHappened] = useState<readonly Happened[]>([])
  useEffect(() => {
    // What is told beside the rest is left out where it cannot be had.
    void api.happened().then(
      (answer) => setHappened(answer.happened),
      () => undefined,
    )
  }, [])
  if (happened.length === 0) return null
  return (
    <section>
      <h2 style={{ margin: '26px 0 8px' }}>What happened lately</h2>
      <ul className="account-list">
        {happened.slice(0, SHOWN).map(({ what, from, at }, index) => (
          <li key={`${at} ${index}`} className={what === 'sign-in-failed' ? 'caution' : undefined}>
            {HAPPENED[what]}, {dayjs(at).format(WHEN)}
            {from !== null && <span className="quiet"> from {from.replace(/^::ffff:/, '')}</span>}
          </li>
        ))}
      </ul>
      <p className="quiet">If something of it was not you, change your password: whoever knew the old one is out.</p>
    </section>
  )
}

function Everything() {
  const [asking, setAsking] = useState(false)
  const [brought, setBrought] = useState<BroughtBack | null>(null)
  const [password, setPassword] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const { message } = App.useApp()
  const save = async (): Promise<void> => {
    try {
      download('lemmata-account.json', await api.everything())
    } catch (thrown) {
      message.error(sentenceOf(thrown))
    }
  }
  const bring = async (file: File): Promise<void> => {
    setBrought(null)
    try {
      const archive: unknown = JSON.parse(await file.text())
      setBrought(await api.bringBack(archive))
    } catch (thrown) {
      message.error(thrown instanceof SyntaxError ? 'This is not a file that was saved here.' : sentenceOf(thrown))
    }
  }
  const away = async (): Promise<void> => {
    setProblem(null)
    try {
      await api.deleteAccount(password)
      // Nothing of hers stays in the page.
      location.assign('/sign-in')
    } catch (thrown) {
      setProblem(sentenceOf(thrown))
    }
  }
  return (
    <section>
      <h2 style={{ margin: '26px 0 8px' }}>Everything that is kept of you</h2>
      <p>
        Samplers with their versions, classes with what learners told, your stitches, stores and pictures, and what happened with the account, in one file that
        other programs can read.
      </p>
      <Room key={brought === null ? 'before' : 'after'} />
      <p className="class-acts">
        <Button onClick={() => void save()}>Save it as a file</Button>
        <FileButton label="A file of an account" onFile={(file) => void bring(file)}>
          Bring in such a file
        </FileButton>
        <Button danger onClick={() => setAsking(true)}>
          Delete the account
        </Button>
      </p>
      <div role="status">{brought && <Brought {...brought} />}</div>
      <Modal
        open={asking}
        title="Delete the account"
        okText="Delete all of it"
        okButtonProps={{ danger: true, disabled: password === '' }}
        onOk={() => void away()}
        onCancel={() => setAsking(false)}
      >
        <p>Your samplers, classes, stitches and stores are deleted, and everything your learners told. This cannot be undone. Save the file first.</p>
        <Input.Password
          aria-label="Your password"
          placeholder="Your password"
          autoComplete="current-password"
          autoFocus
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
        {problem && <Alert type="error" title={problem} style={{ marginTop: 12 }} role="alert" />}
      </Modal>
    </section>
  )
}

function Room() {
  const [room, setRoom] = useState<RoomAnswer | null>(null)
  useEffect(() => {
    void api.room().then(setRoom, () => undefined)
  }, [])
  if (!room) return null
  const megabytes = (bytes: number): string => (bytes / 1e6).toFixed(bytes < 10e6 ? 1 : 0)
  return (
    <p className="quiet">
      It takes {megabytes(room.bytes)} of {megabytes(room.most)} MB.
    </p>
  )
}

function Brought({ samplers, classes, stitches, leftOut }: BroughtBack) {
  const what = [
    ...(samplers > 0 ? [counted(samplers, 'sampler')] : []),
    ...(classes > 0 ? [counted(classes, 'class', 'classes')] : []),
    ...(stitches > 0 ? [counted(stitches, 'stitch', 'stitches')] : []),
  ]
  return (
    <>
      <p style={{ marginTop: 14 }}>
        Brought in, beside what was here: {what.length === 0 ? 'nothing' : listInWords(what)}.
        {classes > 0 && ' Learners need a new link from you to come back to their pages.'}
      </p>
      {leftOut.length > 0 && (
        <>
          <p className="caution">Left out:</p>
          <ul className="account-list">
            {leftOut.map((one, index) => (
              <li key={index}>{one}</li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}
