/** Arrangements of all that is on the cloth, each as a small picture with what is good and bad about it. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import { middleOf } from '@lemmata/core/layout'
import { clearHalves, HOOP_MARGIN_MM, hoopOutline } from '@lemmata/core/materials'
import { type LayoutWay, type PlacedUnit, type Proposal, proposeLayouts, shrinksTo, takeProposal, asItLies } from '@lemmata/core/propose'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { counted, formatLength } from '@lemmata/core/units'
import { Checkbox, Modal, Radio } from 'antd'
import { useMemo, useState } from 'react'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { guideLines } from './draw/guide-lines.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

const NAMES: Readonly<Record<LayoutWay, string>> = { bands: 'In bands', cells: 'In cells', dial: 'Round a dial' }

export function LayoutDialog({ sampler, done, onClose }: Props) {
  // As it was when it was opened.
  const [proposals] = useState(() => proposeLayouts(sampler, done))
  const [way, setWay] = useState<LayoutWay>(proposals[0]?.way ?? 'bands')
  const [lines, setLines] = useState(false)
  const [shrink, setShrink] = useState(true)
  const [now] = useState(() => asItLies(sampler, done))
  const chosen = proposals.find((one) => one.way === way)
  const letters = useMemo(() => new Map(teachingOrder(sampler).map((one, index) => [one.id, letterOf(index)])), [sampler])
  return (
    <Modal
      open
      title="Arrange all that is on the cloth"
      okText="Lay it so"
      okButtonProps={{ disabled: !chosen }}
      onOk={() => {
        const operation = chosen && takeProposal(chosen, sampler, { shrink, ...(lines ? { newId: () => newId('g') } : {}) })
        if (operation) edit(operation)
        onClose()
      }}
      onCancel={onClose}
      width={760}
    >
      {chosen ? (
        <>
          <p className="why">
            Every exercise is moved whole, and read in the order of the lessons. The first suits this sampler best. As it lies now, {onInWords(now)}; its weight
            lies {formatLength(now.offMiddleMm, sampler.units, 1)} from the middle.
            {chosen.units.filter((one) => one.overMm > 0.05).length > chosen.units.length / 2 &&
              ' It is composed as a picture: none of these holds most of it. They are for exercises side by side.'}{' '}
            One undo takes it back.
          </p>
          <Radio.Group aria-label="Arrangement" className="layout-choices" value={way} onChange={(event) => setWay(event.target.value as LayoutWay)}>
            {proposals.map((one) => (
              <Radio key={one.way} value={one.way}>
                <b>{NAMES[one.way]}</b>
                <LayoutPicture proposal={one} sampler={sampler} shrink={shrink} letters={letters} />
                <span className="quiet">{saidOf(one, sampler, shrink)}</span>
              </Radio>
            ))}
          </Radio.Group>
          <Checkbox checked={shrink} onChange={(event) => setShrink(event.target.checked)}>
            Make what is too large smaller, down to half; its stitches stay as long as they are
          </Checkbox>
          <Checkbox checked={lines} onChange={(event) => setLines(event.target.checked)}>
            {way === 'bands' ? 'Draw its bands as sketches' : way === 'cells' ? 'Draw its cells as a sketch' : 'Draw its sectors as sketches'}
          </Checkbox>
        </>
      ) : (
        <p>Two exercises or more are wanted for an arrangement.</p>
      )}
    </Modal>
  )
}

const onInWords = ({ overlapMm2 }: Pick<Proposal, 'overlapMm2'>): string => (overlapMm2 > 1 ? 'some lie on others' : 'nothing lies on anything')

/** "All fits; nothing lies on anything; its weight lies 4.2 mm from the middle." */
function saidOf(proposal: Proposal, sampler: Sampler, shrink: boolean): string {
  const { units, exercises } = sampler
  const nameOf = ({ unit }: PlacedUnit): string => exercises.find((one) => one.id === unit.exercises[0])?.name ?? ''
  const large = proposal.units.filter((one) => one.overMm > 0.05)
  const left = large.filter((one) => !shrink || shrinksTo(one, sampler) === 1).sort((a, b) => b.overMm - a.overMm)
  const [most] = left
  const smaller = large.length - left.length
  const fits = [
    ...(smaller > 0 ? [`${counted(smaller, 'exercise')} made smaller`] : []),
    ...(most ? [`too large ${left.length === 1 ? 'is' : `are ${left.length}, most of all`} ${nameOf(most)}, by ${formatLength(most.overMm, units, 1)}`] : []),
  ]
  // Made smaller, what is in its place lies on nothing.
  const on = shrink && left.length === 0 ? 'nothing lies on anything' : onInWords(proposal)
  const said = [...(fits.length > 0 ? fits : ['all fits']), on, `its weight lies ${formatLength(proposal.offMiddleMm, units, 1)} from the middle`]
  return `${said.join('; ')}.`.replace(/^./, (letter) => letter.toUpperCase())
}

interface PictureProps {
  readonly proposal: Proposal
  readonly sampler: Sampler
  readonly shrink: boolean
  readonly letters: ReadonlyMap<string, string>
}

const pathOf = (points: readonly Point[]): string => `M ${points.map(({ x, y }) => `${x} ${y}`).join(' L ')} Z`

function LayoutPicture({ proposal, sampler, shrink, letters }: PictureProps) {
  const { cloth, workingHoop } = sampler
  const middle = middleOf(sampler)
  const reach = workingHoop ? Math.max(...clearHalves(workingHoop)) + 4 : Math.max(cloth.widthMm, cloth.heightMm) / 2
  return (
    <svg className="layout-picture" viewBox={`${middle.x - reach} ${middle.y - reach} ${2 * reach} ${2 * reach}`} aria-hidden="true">
      {workingHoop ? (
        <path d={pathOf(hoopOutline(workingHoop, HOOP_MARGIN_MM))} className="layout-ground" />
      ) : (
        <rect x="0" y="0" width={cloth.widthMm} height={cloth.heightMm} className="layout-ground" />
      )}
      {proposal.lines.flatMap(guideLines).map((path, index) => (
        <path key={index} d={path} className="layout-line" />
      ))}
      {proposal.units.map((placed) => {
        const { unit, middle: at } = placed
        const factor = shrink ? shrinksTo(placed, sampler) : 1
        const [width, height] = [factor * (unit.box.right - unit.box.left), factor * (unit.box.bottom - unit.box.top)]
        return (
          <g key={unit.exercises[0]}>
            <rect
              x={at.x - width / 2}
              y={at.y - height / 2}
              width={width}
              height={Math.max(1.5, height)}
              className={placed.overMm > 0.05 && factor === 1 ? 'layout-unit too-large' : 'layout-unit'}
            />
            <text x={at.x} y={at.y + reach * 0.045} textAnchor="middle" fontSize={reach * 0.13}>
              {unit.exercises.map((id) => letters.get(id)).join('')}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
