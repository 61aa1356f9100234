/** A picture laid under the drawing at scale, and what it would be in the sampler's threads, cell by cell. */
import { type Shares, sharesOf } from '@lemmata/core/bring-in'
import { middleOf } from '@lemmata/core/layout'
import { clearHalves } from '@lemmata/core/materials'
import type { Sampler, Underlay } from '@lemmata/core/sampler'
import { formatLength } from '@lemmata/core/units'
import { Button, Modal, Slider } from 'antd'
import { useMemo, useState } from 'react'
import { api } from '../api/client.ts'
import { FileButton } from '../look/FileButton.tsx'
import { Field, LengthField, NumberField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { Spool } from '../thread/fields.tsx'
import { USUAL_OPACITY_PERCENT, usePicture } from './use-underlay.ts'

interface Props {
  readonly sampler: Sampler
  readonly onClose: () => void
}

export function UnderlayDialog({ sampler, onClose }: Props) {
  const { underlay } = sampler.drawing
  const [wrong, setWrong] = useState<string | null>(null)
  const [sending, setSending] = useState(false)
  const send = async (file: File): Promise<void> => {
    setSending(true)
    setWrong(null)
    try {
      const { id, width, height } = await api.sendPicture(file)
      edit({ kind: 'set-underlay', underlay: underlay ? { ...underlay, picture: id, heightShare: height / width } : laid(sampler, id, width, height) })
    } catch (reason) {
      setWrong(reason instanceof Error ? reason.message : 'The picture could not be sent.')
    } finally {
      setSending(false)
    }
  }
  return (
    <Modal open title="A picture to draw over" footer={<Button onClick={onClose}>Done</Button>} onCancel={onClose} width={560}>
      <p className="why">
        It lies under the drawing at the size you say, seen while you draw and where marks are shown; it is not printed. What the file tells of its place and
        maker is left out. Use your own picture, or one that you may use.
      </p>
      <p>
        <FileButton label="A picture to draw over" accept="image/jpeg,image/png,image/webp" onFile={(file) => void send(file)}>
          {underlay ? 'Another picture …' : 'Choose a picture …'}
        </FileButton>{' '}
        {underlay && <Button onClick={() => edit({ kind: 'set-underlay', underlay: null })}>Take it away</Button>}
        {sending && (
          <span role="status" className="quiet">
            {' '}
            sending …
          </span>
        )}
      </p>
      {wrong !== null && (
        <p className="wrong" role="alert">
          {wrong}
        </p>
      )}
      {underlay && <Laid sampler={sampler} underlay={underlay} />}
    </Modal>
  )
}

/** In the middle, within the clear area. */
function laid(sampler: Sampler, picture: string, width: number, height: number): Underlay {
  const { cloth, workingHoop } = sampler
  const [across, down] = workingHoop ? clearHalves(workingHoop).map((half) => half * 1.4) : [cloth.widthMm * 0.8, cloth.heightMm * 0.8]
  const { x, y } = middleOf(sampler)
  const heightShare = height / width
  return { picture, at: [x, y], widthMm: Math.max(5, Math.round(Math.min(across ?? 100, (down ?? 100) / heightShare))), heightShare }
}

function Laid({ sampler, underlay }: { sampler: Sampler; underlay: Underlay }) {
  const { units } = sampler
  const loaded = usePicture(underlay.picture)
  const set = (change: Partial<Underlay>): void => edit({ kind: 'set-underlay', underlay: { ...underlay, ...change } })
  const length = (label: string, valueMm: number, min: number, change: (mm: number) => Partial<Underlay>) => (
    <LengthField label={label} valueMm={valueMm} unit={units} min={min} max={3000} decimals={1} onChange={(mm) => set(change(mm))} />
  )
  return (
    <>
      {loaded?.image === null && <p className="wrong">The picture itself is not kept here: it stayed where this sampler came from. Choose it again.</p>}
      <div className="two">
        {length('Wide', underlay.widthMm, 5, (widthMm) => ({ widthMm }))}
        {length('High', underlay.widthMm * underlay.heightShare, 5, (mm) => ({ widthMm: Math.max(5, mm / underlay.heightShare) }))}
      </div>
      <div className="two">
        {length('Its middle, from the left', underlay.at[0], 0, (mm) => ({ at: [mm, underlay.at[1]] }))}
        {length('Its middle, from the top', underlay.at[1], 0, (mm) => ({ at: [underlay.at[0], mm] }))}
      </div>
      <div className="two">
        <NumberField
          label="Turned by"
          suffix="°"
          value={Math.round(((underlay.turnRad ?? 0) * 1800) / Math.PI) / 10}
          min={-180}
          max={180}
          onChange={(degrees) => set({ turnRad: (degrees * Math.PI) / 180 })}
        />
        <Field label="Seen by">
          {(id) => (
            <Slider
              id={id}
              ariaLabelForHandle="Seen by, percent"
              min={5}
              max={100}
              step={5}
              defaultValue={underlay.opacityPercent ?? USUAL_OPACITY_PERCENT}
              onChangeComplete={(opacityPercent: number) => set({ opacityPercent })}
            />
          )}
        </Field>
      </div>
      {loaded?.image && <InCells sampler={sampler} underlay={underlay} image={loaded.image} />}
    </>
  )
}

/** So many pixels a cell tell its colour. */
const PIXELS_A_CELL = 4
const LONGEST_PX = 800

function InCells({ sampler, underlay, image }: { sampler: Sampler; underlay: Underlay; image: HTMLImageElement }) {
  const [columns, setColumns] = useState<number | null>(null)
  const colours = useMemo(() => [...new Map(sampler.threads.map((one) => [one.colour.hex, one.colour])).values()], [sampler.threads])
  const shares = useMemo(() => {
    const pixels = columns === null ? null : pixelsOf(image, Math.min(LONGEST_PX, columns * PIXELS_A_CELL))
    return (
      pixels &&
      sharesOf(
        pixels,
        columns ?? 1,
        colours.map((one) => one.hex),
        sampler.cloth.colour.hex,
      )
    )
  }, [columns, image, colours, sampler.cloth.colour.hex])
  if (columns === null) return <Button onClick={() => setColumns(40)}>In cells of your threads …</Button>
  const all = shares ? shares.columns * shares.rows : 0
  return (
    <>
      <NumberField
        label="Cells across"
        value={columns}
        min={2}
        max={200}
        hint={`one cell each ${formatLength(underlay.widthMm / columns, sampler.units, sampler.units === 'mm' ? 2 : 3)}`}
        onChange={setColumns}
      />
      {shares ? (
        <div className="cells-and-shares">
          <CellPicture shares={shares} colours={colours.map((one) => one.hex)} cloth={sampler.cloth.colour.hex} />
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">Thread</th>
                <th scope="col">Cells</th>
                <th scope="col">Share</th>
              </tr>
            </thead>
            <tbody>
              {colours.map((colour, index) => (
                <tr key={colour.hex}>
                  <td>
                    <Spool hex={colour.hex} /> {colour.name}
                  </td>
                  <td>{shares.counts[index]}</td>
                  <td>{percent(shares.counts[index] ?? 0, all)}</td>
                </tr>
              ))}
              <tr>
                <td>bare cloth</td>
                <td>{shares.bare}</td>
                <td>{percent(shares.bare, all)}</td>
              </tr>
            </tbody>
          </table>
        </div>
      ) : (
        <p className="wrong">These are more cells than anybody works. Fewer across, please.</p>
      )}
    </>
  )
}

const percent = (count: number, all: number): string => `${((100 * count) / Math.max(1, all)).toFixed(1)} %`

function pixelsOf(image: HTMLImageElement, width: number): ImageData | null {
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.min(width, image.naturalWidth))
  canvas.height = Math.max(1, Math.round((canvas.width * image.naturalHeight) / image.naturalWidth))
  const context = canvas.getContext('2d')
  context?.drawImage(image, 0, 0, canvas.width, canvas.height)
  return context?.getImageData(0, 0, canvas.width, canvas.height) ?? null
}

function CellPicture({ shares, colours, cloth }: { shares: Shares; colours: readonly string[]; cloth: string }) {
  return (
    <svg className="cell-picture" viewBox={`0 0 ${shares.columns} ${shares.rows}`} shapeRendering="crispEdges" role="img" aria-label="The picture in cells">
      <rect width={shares.columns} height={shares.rows} fill={cloth} />
      {colours.map((hex, colour) => (
        <path
          key={hex}
          fill={hex}
          d={shares.cells.map((one, index) => (one === colour ? `M${index % shares.columns} ${Math.floor(index / shares.columns)}h1v1h-1z` : '')).join('')}
        />
      ))}
    </svg>
  )
}
