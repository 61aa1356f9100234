/** Threads that lie in the stores and are not in the sampler yet: taken with their colour and the figures that were measured. */
import { kindOf, nameThread } from '@lemmata/core/materials'
import type { SamplerThread } from '@lemmata/core/sampler'
import type { StoredThread } from '@lemmata/core/stores'
import { Select } from 'antd'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { useStores } from '../stores/use-stores.ts'
import { Spool } from '../thread/fields.tsx'

export function FromStores({ threads }: { readonly threads: readonly SamplerThread[] }) {
  const { open } = useStores()
  const there = (one: StoredThread): boolean =>
    threads.some((thread) => thread.kind === one.kind && (thread.weight ?? '') === (one.weight ?? '') && thread.colour.name === one.colour.name)
  const free = open?.document.threads.filter((one) => one.left > 0 && !there(one)) ?? []
  if (free.length === 0) return null
  return (
    <Select<string | null, { value: string; label: string; hex: string }>
      size="small"
      aria-label="Add one from the stores"
      placeholder="Add one from the stores"
      style={{ width: 210 }}
      popupMatchSelectWidth={280}
      value={null}
      showSearch={{ optionFilterProp: 'label' }}
      options={free.map((one) => {
        const kind = kindOf(one)
        return { value: one.id, label: `${one.colour.name}, ${kind ? nameThread(kind).toLowerCase() : one.kind}`, hex: one.colour.hex }
      })}
      optionRender={({ data }) => (
        <span className="thread-word">
          <Spool hex={data.hex} />
          <span>{data.label}</span>
        </span>
      )}
      onChange={(id) => {
        const one = free.find((stored) => stored.id === id)
        if (!one) return
        const { kind, weight, colour, figures } = one
        edit({
          kind: 'add-thread',
          thread: { id: newId('t'), kind, ...(weight === undefined ? {} : { weight }), colour, ...(figures === undefined ? {} : { figures }) },
          at: threads.length,
        })
      }}
    />
  )
}
