/** Versions of a sampler that its teacher has named. */
import type { Sequelize } from 'sequelize'

export async function up(sequelize: Sequelize): Promise<void> {
  await sequelize.query(`CREATE TABLE IF NOT EXISTS versions (
    id CHAR(36) PRIMARY KEY,
    samplerId CHAR(36) NOT NULL,
    name VARCHAR(120) NOT NULL,
    revision INT NOT NULL,
    document JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    INDEX version_of_sampler (samplerId, createdAt),
    CONSTRAINT version_sampler FOREIGN KEY (samplerId) REFERENCES samplers (id) ON DELETE CASCADE
  )`)
}
