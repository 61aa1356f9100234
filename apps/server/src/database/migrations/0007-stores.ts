/** A teacher's stores, and every edit of them that was acknowledged. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS stores (
    id CHAR(36) PRIMARY KEY,
    document JSON NOT NULL,
    revision INT NOT NULL,
    changedAt DATETIME(3) NOT NULL,
    CONSTRAINT stores_teacher FOREIGN KEY (id) REFERENCES teachers (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS stores_operations (
    id CHAR(36) PRIMARY KEY,
    storesId CHAR(36) NOT NULL,
    revision INT NOT NULL,
    operation JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX operation_of_stores (storesId, revision),
    CONSTRAINT operation_stores FOREIGN KEY (storesId) REFERENCES stores (id) ON DELETE CASCADE
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
