/** How it is printed: with which ink, the pattern on which paper, folded or not, and what this printer makes of 50 mm. */
import { BAR_RANGE, CHECK_BAR_MM, type PatternSize } from '@lemmata/core/sheets'
import type { BookInk } from '@lemmata/core/book'
import { Checkbox, InputNumber, Select } from 'antd'
import type { Paper, PrintSettings } from './papers.ts'

interface Props {
  readonly paper: Paper
  readonly settings: PrintSettings
  readonly onChange: (settings: PrintSettings) => void
  readonly bar: number
  readonly setBar: (mm: number) => void
  /** The learner's book as a page of the web; null while there is none. */
  readonly webPage: string | null
}

export function PrintPanel({ paper, settings, onChange, bar, setBar, webPage }: Props) {
  const hasPattern = paper === 'sheet' || paper === 'learner'
  return (
    <div className="sheet-settings">
      {paper !== 'sheet' && (
        <Select<BookInk>
          aria-label="Ink"
          size="small"
          style={{ width: 150 }}
          value={settings.ink}
          onChange={(ink) => onChange({ ...settings, ink })}
          options={[
            { value: 'colour', label: 'In colour' },
            { value: 'black', label: 'Without colour' },
            { value: 'saving', label: 'With least ink' },
          ]}
        />
      )}
      {hasPattern && (
        <Select<PatternSize | 'same'>
          aria-label="Paper of the pattern"
          size="small"
          style={{ width: 170 }}
          value={settings.pattern ?? 'same'}
          onChange={(size) => onChange({ ...settings, pattern: size === 'same' ? null : size })}
          options={[
            { value: 'same', label: 'Pattern as the rest' },
            { value: 'a3', label: 'Pattern on A3' },
            { value: 'tabloid', label: 'Pattern on Tabloid' },
          ]}
        />
      )}
      {paper === 'learner' && (
        <Checkbox checked={settings.booklet} onChange={(event) => onChange({ ...settings, booklet: event.target.checked })}>
          Folded booklet
        </Checkbox>
      )}
      {hasPattern && (
        <span>
          At 100 % the check bar is 50 mm. Mine measured{' '}
          <InputNumber
            aria-label="The bar of 50 mm measured, mm"
            size="small"
            min={BAR_RANGE[0]}
            max={BAR_RANGE[1]}
            step={0.1}
            precision={1}
            value={bar}
            onChange={(mm) => mm !== null && setBar(mm)}
            style={{ width: 74 }}
          />{' '}
          mm{bar === CHECK_BAR_MM ? '.' : ': the pattern is drawn so that this printer prints it true.'}
        </span>
      )}
      {paper === 'learner' && webPage !== null && (
        <a className="sheet-link" href={webPage} download>
          As a page of the web
        </a>
      )}
    </div>
  )
}
