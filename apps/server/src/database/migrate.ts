/** Forward-only migrations, run at start. A new one gets the next number and a line in this list. */
import type { Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as first } from './migrations/0001-first.ts'
import { up as ownStitches } from './migrations/0002-own-stitches.ts'
import { up as classes } from './migrations/0003-classes.ts'
import { up as revisions } from './migrations/0004-revisions.ts'
import { up as versions } from './migrations/0005-versions.ts'
import { up as pictures } from './migrations/0006-pictures.ts'
import { up as stores } from './migrations/0007-stores.ts'
import { up as calendarAddress } from './migrations/0008-calendar-address.ts'
import { up as learning } from './migrations/0009-learning.ts'
import { up as measuring } from './migrations/0010-measuring.ts'
import { up as sessions } from './migrations/0011-sessions.ts'
import { up as passwordResets } from './migrations/0012-password-resets.ts'
import { up as triesAndTrail } from './migrations/0013-tries-and-trail.ts'
import { up as mayShow } from './migrations/0014-may-show.ts'

const MIGRATIONS = [
  { name: '0001-first', run: first },
  { name: '0002-own-stitches', run: ownStitches },
  { name: '0003-classes', run: classes },
  { name: '0004-revisions', run: revisions },
  { name: '0005-versions', run: versions },
  { name: '0006-pictures', run: pictures },
  { name: '0007-stores', run: stores },
  { name: '0008-calendar-address', run: calendarAddress },
  { name: '0009-learning', run: learning },
  { name: '0010-measuring', run: measuring },
  { name: '0011-sessions', run: sessions },
  { name: '0012-password-resets', run: passwordResets },
  { name: '0013-tries-and-trail', run: triesAndTrail },
  { name: '0014-may-show', run: mayShow },
] as const

/** An older program must not write into a database that a newer one has changed. */
export class NewerDatabase extends Error {
  constructor(unknown: readonly string[]) {
    super(
      `This database was changed by a newer Lemmata (${unknown.join(', ')}), and this older one would write into it wrongly. Update Lemmata, or start it on another data folder.`,
    )
  }
}

export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, run }) => ({ name, up: () => run(sequelize) })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  const known = new Set<string>(MIGRATIONS.map(({ name }) => name))
  const unknown = (await umzug.executed()).map(({ name }) => name).filter((name) => !known.has(name))
  // Umzug hears only of migrations that it knows: those in the table besides are looked up there.
  const all = await executedNames(sequelize)
  const newer = [...new Set([...unknown, ...all.filter((name) => !known.has(name))])]
  if (newer.length > 0) throw new NewerDatabase(newer)
  await umzug.up()
}

async function executedNames(sequelize: Sequelize): Promise<readonly string[]> {
  const [rows] = await sequelize.query('SELECT name FROM migrations')
  return (rows as { name: string }[]).map(({ name }) => name)
}
