/** The lengths and counts of a stitch: what each is called, its usual value, its window. Expressions of the thread and cloth. */
import type { Expression, ParameterSpec, StitchDocument } from '@lemmata/core/notation'
import { parameterSpec } from '@lemmata/core/notation'
import { Button, Input } from 'antd'

type Given = NonNullable<StitchDocument['parameters']>

const FIELDS = ['usual', 'min', 'max'] as const

export function ParametersTable({ parameters, onChange }: { parameters: Given; onChange: (parameters: Given) => void }) {
  const entries = Object.entries(parameters)
  const put = (index: number, id: string, spec: ParameterSpec): void =>
    onChange(Object.fromEntries(entries.map((one, at) => (at === index ? [id, spec] : one))))
  const free = 'LHBPGQRS'.split('').find((letter) => !Object.hasOwn(parameters, letter)) ?? `q${entries.length}`
  return (
    <div className="panel">
      <div style={{ display: 'flex', alignItems: 'center', gap: 8 }}>
        <b style={{ flex: 1 }}>Lengths and counts</b>
        <span className="quiet">W is the width of the thread, F lying flat, p the cloth’s pitch</span>
        <Button size="small" onClick={() => onChange({ ...parameters, [free]: { usual: 3, name: 'Length' } })}>
          Add one
        </Button>
      </div>
      {entries.length > 0 && (
        <table className="moves">
          <thead>
            <tr>
              <th scope="col">Letter</th>
              <th scope="col">Called</th>
              <th scope="col">Usual</th>
              <th scope="col">Least</th>
              <th scope="col">Most</th>
              <th scope="col">
                <span className="sr">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {entries.map(([id, given], index) => {
              const spec = parameterSpec(given)
              return (
                <tr key={index}>
                  <td>
                    <Input
                      size="small"
                      aria-label={`Parameter ${index + 1}, letter`}
                      value={id}
                      maxLength={12}
                      onChange={(event) => put(index, event.target.value, spec)}
                      style={{ width: 64 }}
                    />
                  </td>
                  <td>
                    <Input
                      size="small"
                      aria-label={`Parameter ${id}, called`}
                      value={spec.name ?? ''}
                      maxLength={60}
                      onChange={(event) => put(index, id, { ...spec, name: event.target.value || id })}
                    />
                  </td>
                  {FIELDS.map((field) => (
                    <td key={field}>
                      <Input
                        size="small"
                        aria-label={`Parameter ${id}, ${field}`}
                        value={spec[field] === undefined ? '' : String(spec[field])}
                        spellCheck={false}
                        onChange={(event) => put(index, id, withField(spec, field, event.target.value))}
                      />
                    </td>
                  ))}
                  <td>
                    <Button
                      size="small"
                      type="text"
                      danger
                      aria-label={`Remove parameter ${id}`}
                      onClick={() => onChange(Object.fromEntries(entries.filter((_, at) => at !== index)))}
                    >
                      ×
                    </Button>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
    </div>
  )
}

function withField(spec: ParameterSpec, field: (typeof FIELDS)[number], typed: string): ParameterSpec {
  const text = typed.trim()
  const value: Expression = text !== '' && Number.isFinite(Number(text)) ? Number(text) : typed
  if (text === '' && field !== 'usual') {
    const { [field]: _gone, ...rest } = spec
    return rest
  }
  return { ...spec, [field]: text === '' ? 0 : value }
}
