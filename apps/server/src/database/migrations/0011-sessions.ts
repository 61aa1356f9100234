/** Whose a session is: so that all of one teacher's can be ended at once. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  'ALTER TABLE Sessions ADD COLUMN IF NOT EXISTS teacherId CHAR(36) NULL',
  'CREATE INDEX IF NOT EXISTS sessions_of_teacher ON Sessions (teacherId)',
  "UPDATE Sessions SET teacherId = JSON_VALUE(data, '$.teacherId') WHERE teacherId IS NULL AND JSON_VALID(data)",
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
