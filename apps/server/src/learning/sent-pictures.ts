/** Pictures of rows that a learner has sent to her teacher: seen by these two, and taken back by her whenever she likes. */
import type { LearningAnswer, SentPicture } from '@lemmata/contract'
import { type LearnerPrincipal, ownPractice } from '../access/index.ts'
import { classDocumentOf } from '../classes/index.ts'
import { ClassRow, SentPictureRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { madeAnew } from '../pictures/index.ts'

/** The card's window, as fine as a stitch is seen in it. */
const LONGEST_PX = 1500
/** Of one learner with her teacher at a time. */
const MOST = 12

const noSuchPicture = (): HttpProblem => new HttpProblem(404, 'learning.no-picture', 'This picture is not here any more.')

const told = ({ id, exercise, createdAt, mayShow }: SentPictureRow): SentPicture => ({ id, exercise, mayShow, at: createdAt.toISOString() })
const order: [string, string][] = [['createdAt', 'ASC']]
const attributes = ['id', 'learnerId', 'exercise', 'mayShow', 'createdAt']

export async function picturesOfLearner(who: LearnerPrincipal): Promise<readonly SentPicture[]> {
  return (await SentPictureRow.findAll({ where: ownPractice(who), attributes, order })).map(told)
}

export async function picturesOfClass(classId: string): Promise<LearningAnswer['pictures']> {
  return (await SentPictureRow.findAll({ where: { classId }, attributes, order })).map((row) => ({ ...told(row), learner: row.learnerId }))
}

export async function sendPicture(who: LearnerPrincipal, exercise: string, sent: Buffer): Promise<SentPicture> {
  const group = await ClassRow.findByPk(who.classId)
  if (!group || classDocumentOf(group).children === true)
    throw new HttpProblem(403, 'learning.no-pictures-sent', 'In this class pictures stay on your own device. Show it to your teacher there.')
  const { data } = await madeAnew(sent, LONGEST_PX)
  if ((await SentPictureRow.count({ where: ownPractice(who) })) >= MOST)
    throw new HttpProblem(422, 'learning.too-many-pictures', `${MOST} of your pictures are with your teacher. Take one back first.`)
  return told(await SentPictureRow.create({ ...ownPractice(who), exercise, bytes: data }))
}

/** Her teacher may show it to the class, or no longer. */
export async function allowShowing(who: LearnerPrincipal, id: string, mayShow: boolean): Promise<SentPicture> {
  const row = await SentPictureRow.findOne({ where: { id, ...ownPractice(who) }, attributes })
  if (!row) throw noSuchPicture()
  return told(await row.update({ mayShow }))
}

export async function takeBack(who: LearnerPrincipal, id: string): Promise<void> {
  if ((await SentPictureRow.destroy({ where: { id, ...ownPractice(who) } })) === 0) throw noSuchPicture()
}

export async function pictureOfClass(classId: string, id: string): Promise<Buffer> {
  const row = await SentPictureRow.findOne({ where: { id, classId } })
  if (!row) throw noSuchPicture()
  return row.bytes
}

/** All of hers, for everything about her. */
export async function picturesWithBytes(who: LearnerPrincipal): Promise<readonly (SentPicture & { readonly webp: string })[]> {
  return (await SentPictureRow.findAll({ where: ownPractice(who), order })).map((row) => ({ ...told(row), webp: row.bytes.toString('base64') }))
}
