/** Everything that is kept of a teacher: out as one file, or away. */
import { Op } from 'sequelize'
import {
  ClassRow,
  OwnStitchRow,
  PictureRow,
  PracticeRow,
  RulerCheckRow,
  SamplerRow,
  SentPictureRow,
  SessionRow,
  StoresRow,
  Teacher,
  VersionRow,
} from '../database/index.ts'
import { HttpProblem, notSignedIn } from '../http/problem.ts'
import { passwordMatches } from './passwords.ts'
import { trailOf } from './trail.ts'

/** Documents as they are exported one by one, with what belongs to each beside it; nothing by which somebody signs in. */
export async function everythingOf(teacherId: string): Promise<unknown> {
  const teacher = await Teacher.findByPk(teacherId)
  if (!teacher) throw notSignedIn()
  const own = { where: { teacherId } }
  const [samplers, classes, stitches, pictures, checks, stores, happened] = await Promise.all([
    SamplerRow.findAll({ ...own, order: [['createdAt', 'ASC']] }),
    ClassRow.findAll({ ...own, order: [['createdAt', 'ASC']] }),
    OwnStitchRow.findAll({ ...own, order: [['stitchId', 'ASC']] }),
    PictureRow.findAll({ ...own, order: [['createdAt', 'ASC']] }),
    RulerCheckRow.findAll({ ...own, order: [['createdAt', 'ASC']] }),
    StoresRow.findByPk(teacherId),
    trailOf(teacherId, null),
  ])
  const versions = await VersionRow.findAll({ where: { samplerId: samplers.map(({ id }) => id) }, order: [['createdAt', 'ASC']] })
  const inClasses = { where: { classId: classes.map(({ id }) => id) }, order: [['createdAt', 'ASC']] as [string, string][] }
  const [events, sent] = await Promise.all([PracticeRow.findAll(inClasses), SentPictureRow.findAll(inClasses)])
  return {
    ...{ format: 'lemmata-account', version: 1, teacher: { name: teacher.name, email: teacher.email } },
    samplers: samplers.map(({ id, document, deletedAt }) => ({
      ...{ id, deletedAt, document },
      versions: versions.filter((one) => one.samplerId === id).map(({ name, createdAt, document: kept }) => ({ name, createdAt, document: kept })),
    })),
    classes: classes.map(({ id, samplerId, document }) => ({
      ...{ id, sampler: samplerId, document },
      events: events.filter((one) => one.classId === id).map(({ event }) => event),
      pictures: sent
        .filter((one) => one.classId === id)
        .map(({ learnerId, exercise, createdAt, mayShow, bytes }) => ({ learner: learnerId, exercise, createdAt, mayShow, webp: bytes.toString('base64') })),
    })),
    stitches: stitches.map(({ document }) => document),
    stores: stores?.document ?? null,
    rulerChecks: checks.map(({ given }) => given),
    // Told, and not taken in again: it happened here.
    happened,
    pictures: pictures.map(({ id, width, height, bytes }) => ({ id, width, height, webp: bytes.toString('base64') })),
  }
}

/** With everything that hangs on it: samplers, classes and what their learners told, stitches, stores, pictures. */
export async function deleteTeacher(teacherId: string, password: string): Promise<void> {
  const teacher = await Teacher.findByPk(teacherId)
  if (!teacher) throw notSignedIn()
  if (!(await passwordMatches(password, teacher.passwordHash)))
    throw new HttpProblem(422, 'account.password', 'Your present password is not this one. Type it again.')
  await SessionRow.destroy({ where: { teacherId: { [Op.eq]: teacherId } } })
  await teacher.destroy()
}
