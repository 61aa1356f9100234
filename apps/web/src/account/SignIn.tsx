/** Sign in, or make an account: one form, two ways. */
import { Alert, Button, Form, Input } from 'antd'
import { useEffect, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { api, sentenceOf } from '../api/client.ts'

interface Fields {
  readonly email: string
  readonly name: string
  readonly password: string
}

export function SignIn() {
  const [isNew, setIsNew] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const location = useLocation()
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
      const answer = isNew ? await api.makeAccount({ email, name, password }) : await api.signIn(email, password)
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
          <Form.Item name="email" label="E-mail address" rules={[{ required: true, message: 'Type your e-mail address.' }]}>
            <Input type="email" autoComplete="username" maxLength={200} autoFocus />
          </Form.Item>
          <Form.Item
            name="password"
            label="Password"
            extra={isNew ? 'At least 10 characters; a few words are easy to remember.' : undefined}
            rules={[{ required: true, message: 'Type your password.' }, ...(isNew ? [{ min: 10, message: 'Use at least 10 characters.' }] : [])]}
          >
            <Input.Password autoComplete={isNew ? 'new-password' : 'current-password'} maxLength={200} />
          </Form.Item>
          {problem && <Alert type="error" title={problem} style={{ marginBottom: 12 }} role="alert" />}
          <Button type="primary" htmlType="submit" block loading={busy}>
            {isNew ? 'Make the account' : 'Sign in'}
          </Button>
        </Form>
        <Button
          type="link"
          style={{ marginTop: 8, paddingInline: 0 }}
          onClick={() => {
            setIsNew(!isNew)
            setProblem(null)
          }}
        >
          {isNew ? 'I have an account: sign in' : 'I am new here: make an account'}
        </Button>
      </div>
    </main>
  )
}
