/** Classes beside samplers, and what the shelf shows in columns of its own. Learners written into old samplers become a class. */
import { randomUUID } from 'node:crypto'
import { readSamplerFile } from '@lemmata/contract'
import { newClass } from '@lemmata/core/classes'
import { QueryTypes, type Sequelize } from 'sequelize'

const STATEMENTS = [
  `CREATE TABLE IF NOT EXISTS classes (
    id CHAR(36) PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    samplerId CHAR(36) NOT NULL,
    name VARCHAR(120) NOT NULL,
    learners INT NOT NULL,
    document JSON NOT NULL,
    version INT NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    changedAt DATETIME(3) NOT NULL,
    INDEX classes_of_sampler (samplerId, createdAt),
    CONSTRAINT class_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE,
    CONSTRAINT class_sampler FOREIGN KEY (samplerId) REFERENCES samplers (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS class_operations (
    id CHAR(36) PRIMARY KEY,
    classId CHAR(36) NOT NULL,
    version INT NOT NULL,
    operation JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX operations_of_class (classId, version),
    CONSTRAINT operation_class FOREIGN KEY (classId) REFERENCES classes (id) ON DELETE CASCADE
  )`,
  `ALTER TABLE samplers
    ADD COLUMN IF NOT EXISTS exercises INT NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS clothName VARCHAR(120) NOT NULL DEFAULT ''`,
  `UPDATE samplers SET
    exercises = COALESCE(JSON_LENGTH(document, '$.exercises'), 0),
    clothName = COALESCE(LEFT(JSON_UNQUOTE(JSON_EXTRACT(document, '$.cloth.colour.name')), 120), '')`,
]

export async function up(sequelize: Sequelize): Promise<void> {
  for (const statement of STATEMENTS) await sequelize.query(statement)
  const rows = await sequelize.query<{ id: string; teacherId: string; document: unknown }>(
    `SELECT id, teacherId, document FROM samplers
      WHERE JSON_LENGTH(document, '$.learnerVersions') > 0 AND id NOT IN (SELECT samplerId FROM classes)`,
    { type: QueryTypes.SELECT },
  )
  for (const { id, teacherId, document } of rows) {
    const read = readSamplerFile(typeof document === 'string' ? (JSON.parse(document) as unknown) : document)
    if (!read.ok || read.value.learners.length === 0) continue
    const one = { ...newClass('Learners', id), learners: read.value.learners }
    await sequelize.query(
      `INSERT INTO classes (id, teacherId, samplerId, name, learners, document, version, createdAt, changedAt)
        VALUES (:id, :teacherId, :samplerId, :name, :learners, :document, 1, NOW(3), NOW(3))`,
      { replacements: { id: randomUUID(), teacherId, samplerId: id, name: one.name, learners: one.learners.length, document: JSON.stringify(one) } },
    )
  }
}
