/** The teacher's account: who is signed in, and the password. */
import { Alert, App, Button, Form, Input } from 'antd'
import { useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { TopBar } from '../sampler/TopBar.tsx'
import { useSessionQuery } from '../api/server-api.ts'

interface Fields {
  readonly current: string
  readonly next: string
}

export function Account() {
  const { data: teacher } = useSessionQuery()
  const [problem, setProblem] = useState<string | null>(null)
  const [form] = Form.useForm<Fields>()
  const { message } = App.useApp()
  const change = async ({ current, next }: Fields): Promise<void> => {
    setProblem(null)
    try {
      await api.changePassword(current, next)
      form.resetFields()
      message.success('Your password is changed.')
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
        </div>
      </main>
    </div>
  )
}
