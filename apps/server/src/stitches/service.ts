/** The stitches a teacher has written, one row each. */
import { readStitch } from '@lemmata/contract'
import type { StitchDocument } from '@lemmata/core/notation'
import { MOST_OF_ACCOUNT, type Principal, reach } from '../access/index.ts'
import { OwnStitchRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'

export async function listStitches(who: Principal): Promise<StitchDocument[]> {
  const rows = await OwnStitchRow.findAll({ where: reach(who, 'own-stitches'), order: [['stitchId', 'ASC']] })
  return rows.flatMap((row) => {
    const read = readStitch(row.document)
    return read.ok ? [read.value] : []
  })
}

export async function putStitch(who: Principal, id: string, document: StitchDocument): Promise<void> {
  if (document.id !== id) throw new HttpProblem(422, 'stitch.id', `This stitch calls itself "${document.id}", not "${id}". Send it to its own address.`)
  const before = await OwnStitchRow.findOne({ where: { ...reach(who, 'own-stitches'), stitchId: id } })
  if (before) {
    await before.update({ document, changedAt: new Date() })
    return
  }
  if ((await OwnStitchRow.count({ where: reach(who, 'own-stitches') })) >= MOST_OF_ACCOUNT.stitches)
    throw new HttpProblem(422, 'stitch.too-many', `Your library holds ${MOST_OF_ACCOUNT.stitches} stitches, which is the most. Export and delete some first.`)
  await OwnStitchRow.create({ ...reach(who, 'own-stitches'), stitchId: id, document })
}

export async function removeStitch(who: Principal, id: string): Promise<void> {
  const removed = await OwnStitchRow.destroy({ where: { ...reach(who, 'own-stitches'), stitchId: id } })
  if (removed === 0) throw new HttpProblem(404, 'stitch.not-found', 'There is no such stitch in your library.')
}
