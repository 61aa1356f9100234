/** Migrations on a real MariaDB: a database of the first season, and one from the future. */
import { randomUUID } from 'node:crypto'
import { Sequelize } from 'sequelize'
import { afterEach, describe, expect, inject, it } from 'vitest'
import { ClassRow, connectDatabase, defineModels, migrate, SamplerRow } from './index.ts'
import { up as first } from './migrations/0001-first.ts'
import { up as classes } from './migrations/0003-classes.ts'
import { up as revisions } from './migrations/0004-revisions.ts'

let open: Sequelize | null = null
afterEach(async () => {
  await open?.close()
  open = null
})

async function emptyDatabase(name: string): Promise<Sequelize> {
  const { host, port, database, user, password } = inject('database')
  const own = `${database}_${name}`
  const admin = new Sequelize('', user, password, { host, port, dialect: 'mysql', logging: false })
  await admin.query(`DROP DATABASE IF EXISTS \`${own}\``)
  await admin.query(`CREATE DATABASE \`${own}\``)
  await admin.close()
  open = connectDatabase({ DATABASE_HOST: host, DATABASE_PORT: port, DATABASE_NAME: own, DATABASE_USER: user, DATABASE_PASSWORD: password })
  defineModels(open)
  return open
}

const old = (learnerVersions?: readonly object[]) => ({
  format: 'lemmata-sampler',
  version: 1,
  name: 'From before',
  cloth: { kind: 'calico', colour: { name: 'Pale', hex: '#EFE6D2' }, widthMm: 200, heightMm: 200 },
  exercises: [{ id: 'e1', name: 'Rain', stitch: 'running-stitch', guide: { kind: 'line', path: 'M 20 50 L 120 50' } }],
  ...(learnerVersions ? { learnerVersions } : {}),
})

describe('migrations', () => {
  it('give the shelf its columns and turn learners into a class, once', async () => {
    const sequelize = await emptyDatabase('first_season')
    await first(sequelize)
    const teacherId = randomUUID()
    await sequelize.query('INSERT INTO teachers (id, email, name, passwordHash, createdAt) VALUES (?, ?, ?, ?, NOW(3))', {
      replacements: [teacherId, 'a@example.org', 'A', 'x'],
    })
    const ids = [randomUUID(), randomUUID()]
    for (const [index, id] of ids.entries())
      await sequelize.query(
        'INSERT INTO samplers (id, teacherId, name, document, version, printedVersion, createdAt, changedAt) VALUES (?, ?, ?, ?, 7, 5, NOW(3), NOW(3))',
        {
          replacements: [id, teacherId, 'From before', JSON.stringify(old(index === 0 ? [{ id: 'v1', name: 'Tove', choices: {} }] : undefined))],
        },
      )
    await migrate(sequelize)
    await migrate(sequelize)
    const rows = await SamplerRow.findAll()
    expect(rows.map((row) => [row.exercises, row.clothName])).toEqual([
      [1, 'Pale'],
      [1, 'Pale'],
    ])
    // How often it was changed, and what of it is on paper, is kept under its new name.
    expect(rows.map((row) => [row.revision, row.printedRevision])).toEqual([
      [7, 5],
      [7, 5],
    ])
    const made = await ClassRow.findAll()
    expect(made.map((one) => [one.samplerId, one.learners])).toEqual([[ids[0], 1]])
  })

  it('broken off after the first table has its columns renamed goes on from there', async () => {
    const sequelize = await emptyDatabase('broken_off')
    await first(sequelize)
    await classes(sequelize)
    await sequelize.query('ALTER TABLE samplers RENAME COLUMN version TO revision, RENAME COLUMN printedVersion TO printedRevision')
    await revisions(sequelize)
    for (const table of ['samplers', 'operations', 'classes', 'class_operations']) {
      const columns = Object.keys(await sequelize.getQueryInterface().describeTable(table))
      expect(columns, table).toContain('revision')
      expect(columns, table).not.toContain('version')
    }
  })

  it('of a newer program are refused in a sentence, and nothing is changed', async () => {
    const sequelize = await emptyDatabase('future')
    await migrate(sequelize)
    await sequelize.query("INSERT INTO migrations (name) VALUES ('0099-from-the-future')")
    await expect(migrate(sequelize)).rejects.toThrow(/newer Lemmata \(0099-from-the-future\).*Update/)
  })
})
