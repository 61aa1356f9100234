/** Several rows at once: what is chosen here is set in all of them, in one step. */
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Material, Sampler } from '@lemmata/core/sampler'
import { Button, Select } from 'antd'
import { edit } from '../store/index.ts'
import { threadOptions } from './fields.tsx'
import type { ThreadRow } from './thread-row.ts'

export function SetTogether({ sampler, rows, onDone }: { sampler: Sampler; rows: readonly ThreadRow[]; onDone: () => void }) {
  const set = (material: Material): void =>
    edit({
      kind: 'batch',
      operations: rows.map((row) => ({ kind: 'assign', id: row.exercise.id, role: row.assigned?.role ?? MAIN_ROLE, set: material })),
    })
  const back = (): void =>
    edit({
      kind: 'batch',
      operations: rows.map((row) => ({ kind: 'assign', id: row.exercise.id, role: row.assigned?.role ?? MAIN_ROLE, set: {}, clear: ['strands', 'needle'] })),
    })
  const most = Math.min(...rows.map((row) => row.assigned?.kind.mostStrands ?? 6))
  return (
    <span className="set-together" role="group" aria-label={`${rows.length} rows together`}>
      <b>{rows.length} rows</b>
      <Select
        aria-label="Thread of these rows"
        placeholder="thread"
        style={{ width: 190 }}
        value={null as string | null}
        options={threadOptions(sampler)}
        onChange={(thread) => thread !== null && set({ thread })}
      />
      <Select
        aria-label="Strands of these rows"
        placeholder="strands"
        style={{ width: 96 }}
        value={null as number | null}
        options={Array.from({ length: most }, (_, index) => ({ value: index + 1, label: String(index + 1) }))}
        onChange={(strands) => strands !== null && set({ strands })}
      />
      <Button onClick={back}>Choose for these again</Button>
      <Button type="link" onClick={onDone}>
        Let go
      </Button>
    </span>
  )
}
