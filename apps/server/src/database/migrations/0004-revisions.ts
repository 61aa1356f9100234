/**
 * How often a stored document has been changed is its revision; the version is the format of its file. One word meant both.
 */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query('ALTER TABLE samplers RENAME COLUMN IF EXISTS version TO revision, RENAME COLUMN IF EXISTS printedVersion TO printedRevision')
  for (const table of ['operations', 'classes', 'class_operations']) await sequelize.query(`ALTER TABLE ${table} RENAME COLUMN IF EXISTS version TO revision`)
}
