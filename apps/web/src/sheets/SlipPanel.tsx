/** A correction slip: since which version that is kept. It is made as a PDF; what learners have must have been kept under a name. */
import type { VersionSummary } from '@lemmata/contract'
import { Select } from 'antd'
import { useVersionsQuery } from '../api/server-api.ts'

interface Props {
  readonly sampler: string
  readonly since: string | undefined
  readonly onChange: (version: string) => void
}

const NONE: readonly VersionSummary[] = []

export function SlipPanel({ sampler, since, onChange }: Props) {
  const { data: versions = NONE, isLoading } = useVersionsQuery(sampler, { skip: sampler === '' })
  return (
    <div className="panel slip-panel">
      <p>A slip for learners who have an earlier print: what changed, on which of their pages, and what they do about it. Nothing else did.</p>
      {versions.length > 0 ? (
        <Select
          aria-label="They have"
          placeholder="Which version do they have?"
          style={{ width: 320 }}
          value={since ?? null}
          onChange={onChange}
          options={versions.map((one) => ({ value: one.id, label: one.name }))}
        />
      ) : (
        !isLoading && (
          <p className="quiet">No version is kept yet: before you hand out a print, keep one under its name (Versions, in the menu of the sampler).</p>
        )
      )}
    </div>
  )
}
