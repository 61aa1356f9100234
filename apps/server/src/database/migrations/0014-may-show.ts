/** Whether a picture that a learner has sent may be shown to her class: only where she has said so. */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query('ALTER TABLE sent_pictures ADD COLUMN IF NOT EXISTS mayShow BOOLEAN NOT NULL DEFAULT FALSE')
}
