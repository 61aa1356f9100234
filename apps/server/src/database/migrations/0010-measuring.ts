/** Rows that a teacher holds against a ruler, and pictures of rows that learners send. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS ruler_checks (
    id CHAR(36) PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    given JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX checks_of_teacher (teacherId),
    CONSTRAINT check_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS sent_pictures (
    id CHAR(36) PRIMARY KEY,
    classId CHAR(36) NOT NULL,
    learnerId VARCHAR(60) NOT NULL,
    exercise VARCHAR(60) NOT NULL,
    bytes MEDIUMBLOB NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX pictures_of_learner (classId, learnerId),
    CONSTRAINT picture_class FOREIGN KEY (classId) REFERENCES classes (id) ON DELETE CASCADE
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
