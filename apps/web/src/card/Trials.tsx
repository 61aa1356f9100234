/** The trial log of an exercise: what was tried, how it came out, what was decided, how many preferred it. */
import type { Exercise, TrialNote } from '@lemmata/core/sampler'
import { cutText } from '@lemmata/contract'
import { Button, Input, InputNumber, Select } from 'antd'
import { useState } from 'react'
import { edit } from '../store/index.ts'

const VERDICTS: readonly { value: TrialNote['verdict']; label: string }[] = [
  { value: 'keep', label: 'keep it' },
  { value: 'change', label: 'change it' },
  { value: 'drop', label: 'drop it' },
]

interface Props {
  readonly exercise: Exercise
  /** The settings as they are now, in words: what a new line of the log begins with. */
  readonly setting: string
}

export function Trials({ exercise, setting }: Props) {
  const [result, setResult] = useState('')
  const trials = exercise.trials ?? []
  const put = (next: readonly TrialNote[]): void => edit({ kind: 'change-exercise', id: exercise.id, set: { trials: next } })
  const add = (): void => {
    const on = new Date().toISOString().slice(0, 10)
    put([...trials, { id: `t-${crypto.randomUUID().slice(0, 8)}`, on, setting: cutText(setting, 120), result: result.trim(), verdict: 'keep' }])
    setResult('')
  }
  const change = (id: string, set: Partial<TrialNote>): void => put(trials.map((one) => (one.id === id ? { ...one, ...set } : one)))
  return (
    <details className="trials" open={trials.length > 0}>
      <summary>Trial log{trials.length > 0 ? ` (${trials.length})` : ''}</summary>
      {trials.map((one) => (
        <div key={one.id} className="trial">
          <span>
            <b>{one.on}</b> {one.setting}
            {one.result === '' ? '' : `: ${one.result}`}
          </span>
          <span style={{ display: 'flex', gap: 6, alignItems: 'center' }}>
            <Select
              size="small"
              aria-label={`Verdict on ${one.setting}`}
              value={one.verdict}
              options={[...VERDICTS]}
              onChange={(verdict) => change(one.id, { verdict })}
            />
            <InputNumber
              size="small"
              aria-label={`Preferred by, ${one.setting}`}
              placeholder="votes"
              min={0}
              max={10_000}
              precision={0}
              value={one.votes ?? null}
              onChange={(votes) => change(one.id, { votes: votes ?? undefined })}
              style={{ width: 76 }}
            />
            <Button
              size="small"
              type="text"
              danger
              aria-label={`Remove the trial ${one.setting}`}
              onClick={() => put(trials.filter((other) => other.id !== one.id))}
            >
              ×
            </Button>
          </span>
        </div>
      ))}
      <div style={{ display: 'flex', gap: 6 }}>
        <Input
          size="small"
          aria-label="How it came out"
          placeholder="how it came out"
          value={result}
          maxLength={400}
          onChange={(event) => setResult(event.target.value)}
          onPressEnter={add}
        />
        <Button size="small" onClick={add}>
          Note this trial
        </Button>
      </div>
    </details>
  )
}
