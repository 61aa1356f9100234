/** A teacher's own stitches, kept for every sampler of hers. */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query(`CREATE TABLE IF NOT EXISTS own_stitches (
    id CHAR(36) PRIMARY KEY,
    teacherId CHAR(36) NOT NULL,
    stitchId VARCHAR(60) NOT NULL,
    document JSON NOT NULL,
    changedAt DATETIME(3) NOT NULL,
    UNIQUE INDEX stitch_of_teacher (teacherId, stitchId),
    CONSTRAINT stitch_teacher FOREIGN KEY (teacherId) REFERENCES teachers (id) ON DELETE CASCADE
  )`)
}
