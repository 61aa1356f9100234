/** Sign in, or make an account: one form, two ways; a third for a password that was forgotten, and a fourth by the link that comes then. */
import { Alert, Button, Form, Input } from 'antd'
import { useEffect, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'

interface Fields {
  readonly email: string
  readonly name: string
  readonly password: string
}

const WORDS = { in: 'Sign in', new: 'Make the account', forgotten: 'Send me a link', again: 'Set the new password', open: 'Open my account' } as const
const BACK = ['in', 'I have an account: sign in'] as const
const OTHERS: Readonly<Record<Way, readonly (readonly [Way, string])[]>> = {
  in: [
    ['new', 'I am new here: make an account'],
    ['forgotten', 'I have forgotten my password'],
  ],
  new: [BACK],
  forgotten: [BACK],
  again: [['forgotten', 'Send me another link']],
  open: [BACK],
}

type Way = 'in' | 'new' | 'forgotten' | 'again' | 'open'

export function SignIn() {
  const location = useLocation()
  const given = new URLSearchParams(location.search)
  const [token, account] = [given.get('new-password'), given.get('new-account')]
  const [way, setWay] = useState<Way>(account !== null ? 'open' : token === null ? 'in' : 'again')
  const [done, setDone] = useState<string | null>(null)
  const isNew = way === 'new'
  const isNewPassword = isNew || way === 'again'
  const [problem, setProblem] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const from = (location.state as { from?: string } | null)?.from ?? '/'
  useEffect(() => {
    document.title = 'Sign in \u2013 Lemmata'
  }, [])

  const submit = async ({ email, name, password }: Fields): Promise<void> => {
    setBusy(true)
    setProblem(null)
    try {
      // The token of this session first: a page left open over night has an old one.
      await api.session()
      if (way === 'forgotten') {
        await api.forgottenPassword(email)
        return setDone('If there is an account with this address, a message is on its way to it. The link in it is good for an hour.')
      }
      if (way === 'again') {
        await api.newPassword(token ?? '', password)
        setWay('in')
        return setDone('Your new password is set. Sign in with it.')
      }
      const answer = await (way === 'open' ? api.openAccount(account ?? '') : isNew ? api.makeAccount({ email, name, password }) : api.signIn(email, password))
      if ('sent' in answer) return setDone('A message is on its way to this address. The link in it makes the account, within a day.')
      // The rest of the application is loaded now, by whoever has come in.
      const [{ store }, { serverApi }] = await Promise.all([import('../store/index.ts'), import('../api/server-api.ts')])
      // Whatever the last one had is forgotten.
      store.dispatch(serverApi.util.resetApiState())
      await store.dispatch(serverApi.util.upsertQueryData('session', undefined, answer.teacher))
      void navigate(from, { replace: true })
    } catch (error) {
      setProblem(sentenceOf(error))
    } finally {
      setBusy(false)
    }
  }

  return (
    <main className="page-narrow">
      <div className="sheet">
        <h1 style={{ display: 'flex', gap: 10, alignItems: 'center', marginBottom: 4 }}>
          <img src="/mark.svg" alt="" width="30" height="30" />
          Lemmata
        </h1>
        <p className="quiet" style={{ marginTop: 0 }}>
          Plan a stitch-along sampler: which stitches, in which order, drawn where, with which thread.
        </p>
        <Form<Fields> layout="vertical" onFinish={(fields) => void submit(fields)} requiredMark={false}>
          {isNew && (
            <Form.Item name="name" label="Your name" rules={[{ required: true, message: 'Type the name that stands on your sheets.' }]}>
              <Input autoComplete="name" maxLength={120} />
            </Form.Item>
          )}
          {way !== 'again' && way !== 'open' && (
            <Form.Item name="email" label="E-mail address" rules={[{ required: true, message: 'Type your e-mail address.' }]}>
              <Input type="email" autoComplete="username" maxLength={200} autoFocus />
            </Form.Item>
          )}
          {way !== 'forgotten' && way !== 'open' && (
            <Form.Item
              name="password"
              label={way === 'again' ? 'New password' : 'Password'}
              extra={isNewPassword ? 'At least 10 characters; a few words are easy to remember.' : undefined}
              rules={[{ required: true, message: 'Type your password.' }, ...(isNewPassword ? [{ min: 10, message: 'Use at least 10 characters.' }] : [])]}
            >
              <Input.Password autoComplete={isNewPassword ? 'new-password' : 'current-password'} maxLength={200} />
            </Form.Item>
          )}
          {done && (
            <p role="status">
              <b>{done}</b>
            </p>
          )}
          {problem && <Alert type="error" title={problem} style={{ marginBottom: 12 }} role="alert" />}
          <Button type="primary" htmlType="submit" block loading={busy}>
            {WORDS[way]}
          </Button>
        </Form>
        <p className="sign-in-ways">
          {OTHERS[way].map(([other, words]) => (
            <Button
              key={other}
              type="link"
              onClick={() => {
                setWay(other)
                setProblem(null)
                setDone(null)
              }}
            >
              {words}
            </Button>
          ))}
        </p>
      </div>
    </main>
  )
}
