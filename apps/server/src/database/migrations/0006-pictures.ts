/** Pictures that a teacher draws over. */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query(`CREATE TABLE IF NOT EXISTS pictures (
    id CHAR(36) PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    width INT NOT NULL,
    height INT NOT NULL,
    bytes MEDIUMBLOB NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX picture_of_teacher (teacherId, createdAt),
    CONSTRAINT picture_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE
  )`)
}
