import { Button, Dropdown } from 'antd'
import { useNavigate } from 'react-router'
import { api } from '../api/client.ts'
import { forgetLastSeen } from '../drawing/last-seen.ts'
import { serverApi, useSessionQuery } from '../api/server-api.ts'
import { classClosed } from '../store/class.ts'
import { useAppDispatch } from '../store/index.ts'
import { storesClosed } from '../store/stores.ts'
import { samplerClosed } from '../store/sampler.ts'

/** Whose account it is, and the way out of it. */
export function AccountMenu() {
  const { data: teacher } = useSessionQuery()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  if (!teacher) return null
  const signOut = async (): Promise<void> => {
    await api.signOut().catch(() => undefined)
    void forgetLastSeen()
    dispatch(samplerClosed())
    dispatch(classClosed())
    dispatch(storesClosed())
    dispatch(serverApi.util.resetApiState())
    await dispatch(serverApi.util.upsertQueryData('session', undefined, null))
  }
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: [
          { key: 'stores', label: 'Stores', onClick: () => void navigate('/stores') },
          { key: 'account', label: `Account of ${teacher.name}`, onClick: () => void navigate('/account') },
          { key: 'out', label: 'Sign out', onClick: () => void signOut() },
        ],
      }}
    >
      <Button className="account" shape="circle" aria-label={`${teacher.name}, account`} title={teacher.name}>
        {initials(teacher.name)}
      </Button>
    </Dropdown>
  )
}

/** Of the first word and the last. */
function initials(name: string): string {
  const words = name.trim().split(/\s+/)
  return [words[0], words.length > 1 ? words.at(-1) : ''].map((word) => [...(word ?? '')][0]?.toUpperCase() ?? '').join('')
}
