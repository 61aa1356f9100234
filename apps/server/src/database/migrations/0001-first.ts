/** Teachers, samplers, operations, sessions. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS teachers (
    id CHAR(36) PRIMARY KEY,
    email VARCHAR(200) NOT NULL UNIQUE,
    name VARCHAR(120) NOT NULL,
    passwordHash VARCHAR(255) NOT NULL,
    createdAt DATETIME(3) NOT NULL
  )`,
  `CREATE TABLE IF NOT EXISTS samplers (
    id CHAR(36) PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    name VARCHAR(120) NOT NULL,
    document JSON NOT NULL,
    version INT NOT NULL,
    printedVersion INT NULL,
    deletedAt DATETIME(3) NULL,
    createdAt DATETIME(3) NOT NULL,
    changedAt DATETIME(3) NOT NULL,
    INDEX samplers_of_teacher (teacherId, deletedAt, changedAt),
    CONSTRAINT sampler_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS operations (
    id CHAR(36) PRIMARY KEY,
    samplerId CHAR(36) NOT NULL,
    version INT NOT NULL,
    operation JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX operations_of_sampler (samplerId, version),
    CONSTRAINT operation_sampler FOREIGN KEY (samplerId) REFERENCES samplers (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS Sessions (
    sid VARCHAR(36) PRIMARY KEY,
    expires DATETIME NULL,
    data TEXT NULL,
    createdAt DATETIME NOT NULL,
    updatedAt DATETIME NOT NULL
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
