/** The secret under which a class's calendar is subscribed to. */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query('ALTER TABLE classes ADD COLUMN IF NOT EXISTS calendarSecret VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NULL')
  await sequelize.query('CREATE UNIQUE INDEX IF NOT EXISTS class_by_calendar_secret ON classes (calendarSecret)')
}
