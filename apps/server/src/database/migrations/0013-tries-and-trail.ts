/** Tries that were not right, counted by all processes together; and what happened with accounts. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS tries (
    \`key\` VARCHAR(255) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
    points INT NOT NULL DEFAULT 0,
    expire BIGINT UNSIGNED NULL,
    INDEX tries_expire (expire)
  )`,
  // Without a foreign key: that an account was deleted is known after it is gone.
  `CREATE TABLE IF NOT EXISTS trail (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
    teacherId CHAR(36) NULL,
    what VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    address VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX trail_of_teacher (teacherId, createdAt),
    INDEX trail_created (createdAt)
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
