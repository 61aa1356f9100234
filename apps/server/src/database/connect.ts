/** One connection pool; mysql2 speaks MariaDB and reads its JSON columns as objects. */
import { Sequelize } from 'sequelize'
import type { Config } from '../config.ts'

export type DatabaseSettings = Pick<Config, 'DATABASE_HOST' | 'DATABASE_PORT' | 'DATABASE_NAME' | 'DATABASE_USER' | 'DATABASE_PASSWORD'>

export function connectDatabase(settings: DatabaseSettings): Sequelize {
  return new Sequelize(settings.DATABASE_NAME, settings.DATABASE_USER, settings.DATABASE_PASSWORD, {
    host: settings.DATABASE_HOST,
    port: settings.DATABASE_PORT,
    dialect: 'mysql',
    logging: false,
    pool: { max: 10, idle: 10_000, acquire: 10_000 },
    define: { charset: 'utf8mb4', collate: 'utf8mb4_unicode_ci' },
  })
}
