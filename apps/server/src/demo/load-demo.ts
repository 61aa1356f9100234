/** The demo teacher and her samplers, loaded once; `reset` puts hers back as they were. */
import { sixThursdays } from '@lemmata/contract/demo'
import { hashPassword } from '../accounts/index.ts'
import { SamplerRow, Teacher } from '../database/index.ts'

export const DEMO = { email: 'demo@lemmata.example', password: 'needle and thread' }

export async function loadDemo(today: string, reset: boolean): Promise<void> {
  const known = await Teacher.findOne({ where: { email: DEMO.email } })
  const teacher = known ?? (await Teacher.create({ email: DEMO.email, name: 'Ada Merino', passwordHash: await hashPassword(DEMO.password) }))
  if (known && !reset) return
  await SamplerRow.destroy({ where: { teacherId: teacher.id } })
  const document = sixThursdays(today)
  await SamplerRow.create({ teacherId: teacher.id, name: document.name, document, version: 1, printedVersion: null, deletedAt: null })
}
