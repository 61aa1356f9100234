/** Learners who come to their class themselves: the code they join by, their links and keys, and what they tell of their work. */
import type { Sequelize } from 'sequelize'

const STATEMENTS = [
  'ALTER TABLE classes ADD COLUMN IF NOT EXISTS joinCode VARCHAR(16) CHARACTER SET ascii COLLATE ascii_bin NULL',
  'CREATE UNIQUE INDEX IF NOT EXISTS class_by_join_code ON classes (joinCode)',
  `CREATE TABLE IF NOT EXISTS learner_links (
    id CHAR(36) PRIMARY KEY,
    classId CHAR(36) NOT NULL,
    learnerId VARCHAR(60) NOT NULL,
    link VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL UNIQUE,
    wordHash VARCHAR(255) NULL,
    createdAt DATETIME(3) NOT NULL,
    UNIQUE INDEX link_of_learner (classId, learnerId),
    CONSTRAINT link_class FOREIGN KEY (classId) REFERENCES classes (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS learner_keys (
    keyHash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
    linkId CHAR(36) NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    CONSTRAINT key_link FOREIGN KEY (linkId) REFERENCES learner_links (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS practice_events (
    id CHAR(36) PRIMARY KEY,
    classId CHAR(36) NOT NULL,
    learnerId VARCHAR(60) NOT NULL,
    event JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX events_of_learner (classId, learnerId),
    CONSTRAINT event_class FOREIGN KEY (classId) REFERENCES classes (id) ON DELETE CASCADE
  )`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
}
