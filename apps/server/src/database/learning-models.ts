/** Learners' links, the keys of their devices, what they told of their work and which pictures they sent; and their teacher's ruler. */
import { type CreationOptional, DataTypes, type InferAttributes, type InferCreationAttributes, Model, type NonAttribute, type Sequelize } from 'sequelize'

/** Where a learner comes back to, with her word. One for each. */
export class LinkRow extends Model<InferAttributes<LinkRow>, InferCreationAttributes<LinkRow>> {
  declare id: CreationOptional<string>
  declare classId: string
  declare learnerId: string
  declare link: string
  /** Null until the link is opened first. */
  declare wordHash: string | null
  declare createdAt: CreationOptional<Date>
}

/** A device on which she is known. The key itself is only there. */
export class KeyRow extends Model<InferAttributes<KeyRow>, InferCreationAttributes<KeyRow>> {
  declare keyHash: string
  declare linkId: string
  /** Where it was asked for with it. */
  declare link?: NonAttribute<LinkRow>
  declare createdAt: CreationOptional<Date>
}

export class PracticeRow extends Model<InferAttributes<PracticeRow>, InferCreationAttributes<PracticeRow>> {
  /** Made where it happened, so that what is sent twice is kept once. */
  declare id: string
  declare classId: string
  declare learnerId: string
  declare event: unknown
  declare createdAt: CreationOptional<Date>
}

/** A picture of a row that she has sent to her teacher. */
export class SentPictureRow extends Model<InferAttributes<SentPictureRow>, InferCreationAttributes<SentPictureRow>> {
  declare id: CreationOptional<string>
  declare classId: string
  declare learnerId: string
  declare exercise: string
  /** To her class, without her name. */
  declare mayShow: CreationOptional<boolean>
  declare bytes: Buffer
  declare createdAt: CreationOptional<Date>
}

/** A row that a teacher has held against a ruler. */
export class RulerCheckRow extends Model<InferAttributes<RulerCheckRow>, InferCreationAttributes<RulerCheckRow>> {
  declare id: CreationOptional<string>
  declare teacherId: string
  declare given: unknown
  declare createdAt: CreationOptional<Date>
}

export function defineLearningModels(sequelize: Sequelize): void {
  const now = () => ({ type: DataTypes.DATE(3), allowNull: false, defaultValue: DataTypes.NOW })
  const classId = () => ({ type: DataTypes.UUID, allowNull: false })
  const learnerId = () => ({ type: DataTypes.STRING(60), allowNull: false })
  LinkRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      classId: classId(),
      learnerId: learnerId(),
      link: { type: DataTypes.STRING(64), allowNull: false },
      wordHash: { type: DataTypes.STRING(255), allowNull: true },
      createdAt: now(),
    },
    { sequelize, tableName: 'learner_links', timestamps: false },
  )
  KeyRow.init(
    { keyHash: { type: DataTypes.STRING(64), primaryKey: true }, linkId: { type: DataTypes.UUID, allowNull: false }, createdAt: now() },
    { sequelize, tableName: 'learner_keys', timestamps: false },
  )
  KeyRow.belongsTo(LinkRow, { as: 'link', foreignKey: 'linkId' })
  PracticeRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      classId: classId(),
      learnerId: learnerId(),
      event: { type: DataTypes.JSON, allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'practice_events', timestamps: false },
  )
  const uuid = () => ({ type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 })
  SentPictureRow.init(
    {
      ...{ id: uuid(), classId: classId(), learnerId: learnerId(), exercise: { type: DataTypes.STRING(60), allowNull: false } },
      mayShow: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      ...{ bytes: { type: DataTypes.BLOB('medium'), allowNull: false }, createdAt: now() },
    },
    { sequelize, tableName: 'sent_pictures', timestamps: false },
  )
  RulerCheckRow.init(
    { id: uuid(), teacherId: { type: DataTypes.UUID, allowNull: false }, given: { type: DataTypes.JSON, allowNull: false }, createdAt: now() },
    { sequelize, tableName: 'ruler_checks', timestamps: false },
  )
}
