/** Outlines from an SVG file, or as path data, onto the cloth as sketches; what could not be used is said. */
import { problemInWords } from '@lemmata/contract'
import { asSvg, MOST_SVG_CHARACTERS, readSvg } from '@lemmata/core/bring-in'
import { bringIn } from '@lemmata/core/layout'
import type { Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { Input, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { FileButton } from '../look/FileButton.tsx'
import { LengthField } from '../sampler/fields.tsx'
import { edit, useAppDispatch } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'
import { allHeld } from '../store/sampler.ts'

interface Props {
  readonly sampler: Sampler
  readonly onClose: () => void
}

export function BringIn({ sampler, onClose }: Props) {
  const dispatch = useAppDispatch()
  const [text, setText] = useState('')
  const [file, setFile] = useState<string | null>(null)
  const [widthMm, setWidth] = useState<number | null>(null)
  const read = useMemo(() => {
    if (text.trim() === '') return null
    const { svg, isData } = asSvg(text)
    const first = readSvg(svg, isData ? { mmPerUnit: 1 } : {})
    if (!first.ok || widthMm === null || first.value.widthMm <= 0 || isData) return first
    // As wide as one wishes: read again in that measure, so that nothing is rounded twice.
    const unit = readSvg(svg, { mmPerUnit: 1 })
    return unit.ok ? readSvg(svg, { mmPerUnit: widthMm / unit.value.widthMm }) : unit
  }, [text, widthMm])
  const operation = read?.ok ? bringIn(read.value.guides, sampler, newIds) : null
  const isData = asSvg(text).isData
  return (
    <Modal
      open
      title="Bring in outlines"
      okText={read?.ok ? `Lay ${counted(read.value.guides.length, 'sketch', 'sketches')} on the cloth` : 'Lay them on the cloth'}
      okButtonProps={{ disabled: operation === null }}
      onOk={() => {
        if (operation) {
          edit(operation)
          // Together they are moved to their place, turned, made larger.
          const added = operation.kind === 'batch' ? operation.operations : []
          dispatch(allHeld(added.flatMap((one) => (one.kind === 'add-guide' ? [one.guide.id] : []))))
        }
        onClose()
      }}
      onCancel={onClose}
      width={520}
    >
      <p className="why">An SVG drawing, or path data in millimetres. Each outline becomes a sketch, to be worked in a stitch when you choose.</p>
      <div className="bring-in">
        <FileButton
          label="SVG file"
          accept="image/svg+xml,.svg"
          onFile={(chosen) => {
            setFile(chosen.name)
            setWidth(null)
            // A little more than is read, so that too large a file is told to be so.
            void chosen
              .slice(0, 4 * MOST_SVG_CHARACTERS)
              .text()
              .then(setText)
          }}
        >
          Choose a file …
        </FileButton>
        <span className="quiet">{file ?? 'or paste it here'}</span>
        <Input.TextArea
          aria-label="SVG or path data"
          rows={4}
          value={text.length > 20_000 ? '' : text}
          placeholder={text.length > 20_000 ? `${Math.round(text.length / 1000)} thousand characters` : 'M 20 40 C 40 20 60 60 80 40'}
          onChange={(event) => {
            setFile(null)
            setText(event.target.value)
          }}
        />
        {read?.ok && !isData && (
          <LengthField label="The whole drawing is wide" valueMm={widthMm ?? read.value.widthMm} unit={sampler.units} min={5} max={2000} onChange={setWidth} />
        )}
        {read?.ok && !isData && <span className="quiet">and {formatLength(read.value.heightMm, sampler.units)} high</span>}
      </div>
      <div role="status">
        {read?.problems.map((problem) => (
          <p key={problemInWords(problem)} className={problem.severity === 'error' ? 'wrong' : 'why'}>
            {problemInWords(problem)}
          </p>
        ))}
      </div>
    </Modal>
  )
}
