/** Forward-only migrations, run at start. A new one gets the next number and a line in this list. */
import type { Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as first } from './migrations/0001-first.ts'
import { up as ownStitches } from './migrations/0002-own-stitches.ts'

export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: [
      { name: '0001-first', up: () => first(sequelize) },
      { name: '0002-own-stitches', up: () => ownStitches(sequelize) },
    ],
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  await umzug.up()
}
