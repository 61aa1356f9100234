import { Alert } from 'antd'

/** Something that works elsewhere has stopped: said where its answer is missed. */
export function Failure({ sentence }: { sentence: string }) {
  return <Alert type="error" showIcon role="alert" title={sentence} style={{ margin: 12 }} />
}
