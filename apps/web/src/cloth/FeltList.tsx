/** Felt that goes under stitches: what is cut for each learner, as a list and as a template at true size. */
import { feltPatches, feltSheet } from '@lemmata/core/cutting'
import { writeSvg } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { feltTemplate } from '@lemmata/core/sheets'
import { formatLength, type LengthUnit } from '@lemmata/core/units'
import { Button } from 'antd'
import { useMemo } from 'react'
import { downloadText } from '../stitches/download.ts'

interface Props {
  readonly done: readonly WorkedExercise[]
  readonly unit: LengthUnit
  /** Learners, and the teacher's own. */
  readonly pieces: number
  readonly name: string
}

/** Felt for handwork is sold in sheets about so wide. */
const SHEET_MM = 200

export function FeltList({ done, unit, pieces, name }: Props) {
  const patches = useMemo(() => feltPatches(done), [done])
  const sheet = useMemo(() => feltSheet(patches, SHEET_MM), [patches])
  if (patches.length === 0) return null
  const length = (mm: number): string => formatLength(mm, unit, unit === 'mm' ? 1 : 2)
  return (
    <>
      <h3>Felt to cut</h3>
      <ul className="prepare-steps">
        {patches.map((one, index) => (
          <li key={`${one.exercise} ${index}`}>
            {one.name}
            {one.layers > 1 ? `, layer ${one.layer} of ${one.layers} from below` : ''}: {length(one.widthMm)} by {length(one.heightMm)}
          </li>
        ))}
      </ul>
      {sheet ? (
        <p>
          Each learner a piece of {length(sheet.widthMm)} by {length(sheet.heightMm)}; for {pieces} in all {length(sheet.heightMm * pieces)} of a sheet so wide.{' '}
          <Button size="small" onClick={() => downloadText(`felt, ${name}.svg`, writeSvg(feltTemplate(sheet)), 'image/svg+xml')}>
            Template at true size
          </Button>
        </p>
      ) : (
        <p>One of them is wider than a usual sheet of felt; cut it from a larger one.</p>
      )}
      <p className="quiet">Bevel the edge of the top layer. Cut with the points of the scissors away from you, and put them down closed.</p>
    </>
  )
}
