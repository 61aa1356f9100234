/** Links by which a forgotten password is set anew: each once, and not for long. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS password_resets (
    tokenHash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX resets_of_teacher (teacherId),
    CONSTRAINT reset_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
