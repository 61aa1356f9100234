/** What is kept: teachers, their samplers and classes, their own stitches, and every operation that was acknowledged. */
import { type CreationOptional, DataTypes, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import { defineLearningModels } from './learning-models.ts'

export class Teacher extends Model<InferAttributes<Teacher>, InferCreationAttributes<Teacher>> {
  declare id: CreationOptional<string>
  declare email: string
  declare name: string
  declare passwordHash: string
  declare createdAt: CreationOptional<Date>
}

/** A browser that has come by; signed in where it has a teacher. Written by the store of sessions. */
export class SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  declare sid: string
  declare expires: Date | null
  declare data: string | null
  declare teacherId: string | null
  declare createdAt: CreationOptional<Date>
  declare updatedAt: CreationOptional<Date>
}

/** A link by which a forgotten password is set anew; the link itself is only in the message. */
export class ResetRow extends Model<InferAttributes<ResetRow>, InferCreationAttributes<ResetRow>> {
  declare tokenHash: string
  declare teacherId: string
  declare createdAt: CreationOptional<Date>
}

/** What happened with an account, from which address. */
export class TrailRow extends Model<InferAttributes<TrailRow>, InferCreationAttributes<TrailRow>> {
  declare id: CreationOptional<number>
  declare teacherId: string | null
  declare what: string
  declare address: string | null
  declare createdAt: CreationOptional<Date>
}

export class SamplerRow extends Model<InferAttributes<SamplerRow>, InferCreationAttributes<SamplerRow>> {
  declare id: CreationOptional<string>
  declare teacherId: string
  declare name: string
  /** What the shelf shows, without reading the document. */
  declare exercises: number
  declare clothName: string
  /** The sampler document, checked by the contract on its way in and out. */
  declare document: unknown
  declare revision: number
  declare printedRevision: number | null
  declare deletedAt: Date | null
  declare createdAt: CreationOptional<Date>
  declare changedAt: CreationOptional<Date>
}

export class ClassRow extends Model<InferAttributes<ClassRow>, InferCreationAttributes<ClassRow>> {
  declare id: CreationOptional<string>
  declare teacherId: string
  declare samplerId: string
  declare name: string
  /** Kept beside the document, so that a list needs none. */
  declare learners: number
  /** The class document, checked by the contract on its way in and out. */
  declare document: unknown
  declare revision: number
  /** Under it the calendar is read without signing in; none while it is not shared. */
  declare calendarSecret: CreationOptional<string | null>
  /** By which learners join; none while nobody may. */
  declare joinCode: CreationOptional<string | null>
  declare createdAt: CreationOptional<Date>
  declare changedAt: CreationOptional<Date>
}

export class ClassOperationRow extends Model<InferAttributes<ClassOperationRow>, InferCreationAttributes<ClassOperationRow>> {
  declare id: string
  declare classId: string
  declare revision: number
  declare operation: unknown
  declare createdAt: CreationOptional<Date>
}

export class OperationRow extends Model<InferAttributes<OperationRow>, InferCreationAttributes<OperationRow>> {
  /** Made by the page, so that an operation sent twice is applied once. */
  declare id: string
  declare samplerId: string
  declare revision: number
  declare operation: unknown
  declare createdAt: CreationOptional<Date>
}

export class VersionRow extends Model<InferAttributes<VersionRow>, InferCreationAttributes<VersionRow>> {
  declare id: CreationOptional<string>
  declare samplerId: string
  declare name: string
  /** The sampler's, when it was kept. */
  declare revision: number
  declare document: unknown
  declare createdAt: CreationOptional<Date>
}

/** A teacher's stores: one for each. */
export class StoresRow extends Model<InferAttributes<StoresRow>, InferCreationAttributes<StoresRow>> {
  /** The teacher's. */
  declare id: string
  /** The stores document, checked by the contract on its way in and out. */
  declare document: unknown
  declare revision: number
  declare changedAt: CreationOptional<Date>
}

export class StoresOperationRow extends Model<InferAttributes<StoresOperationRow>, InferCreationAttributes<StoresOperationRow>> {
  declare id: string
  declare storesId: string
  declare revision: number
  declare operation: unknown
  declare createdAt: CreationOptional<Date>
}

export class OwnStitchRow extends Model<InferAttributes<OwnStitchRow>, InferCreationAttributes<OwnStitchRow>> {
  declare id: CreationOptional<string>
  declare teacherId: string
  declare stitchId: string
  /** The stitch document, checked by the contract on its way in and out. */
  declare document: unknown
  declare changedAt: CreationOptional<Date>
}

/** A picture to draw over, as the server made it anew. */
export class PictureRow extends Model<InferAttributes<PictureRow>, InferCreationAttributes<PictureRow>> {
  declare id: CreationOptional<string>
  declare teacherId: string
  declare width: number
  declare height: number
  /** WebP. */
  declare bytes: Buffer
  declare createdAt: CreationOptional<Date>
}

export function defineModels(sequelize: Sequelize): void {
  defineLearningModels(sequelize)
  // Made anew for each column: Sequelize writes into the description it is given.
  const uuid = () => ({ type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 })
  const now = () => ({ type: DataTypes.DATE(3), allowNull: false, defaultValue: DataTypes.NOW })
  ResetRow.init(
    { tokenHash: { type: DataTypes.STRING(64), primaryKey: true }, teacherId: { type: DataTypes.UUID, allowNull: false }, createdAt: now() },
    { sequelize, tableName: 'password_resets', timestamps: false },
  )
  TrailRow.init(
    {
      id: { type: DataTypes.BIGINT.UNSIGNED, primaryKey: true, autoIncrement: true },
      ...{ teacherId: DataTypes.UUID, what: { type: DataTypes.STRING(40), allowNull: false }, address: DataTypes.STRING(64), createdAt: now() },
    },
    { sequelize, tableName: 'trail', timestamps: false },
  )
  SessionRow.init(
    {
      ...{ sid: { type: DataTypes.STRING(36), primaryKey: true }, expires: DataTypes.DATE, data: DataTypes.TEXT, teacherId: DataTypes.UUID },
      ...{ createdAt: DataTypes.DATE, updatedAt: DataTypes.DATE },
    },
    { sequelize, tableName: 'Sessions', timestamps: true },
  )
  Teacher.init(
    {
      id: uuid(),
      email: { type: DataTypes.STRING(200), allowNull: false, unique: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      passwordHash: { type: DataTypes.STRING(255), allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'teachers', timestamps: false },
  )
  SamplerRow.init(
    {
      id: uuid(),
      teacherId: { type: DataTypes.UUID, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      exercises: { type: DataTypes.INTEGER, allowNull: false },
      clothName: { type: DataTypes.STRING(120), allowNull: false },
      document: { type: DataTypes.JSON, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      printedRevision: { type: DataTypes.INTEGER, allowNull: true },
      deletedAt: { type: DataTypes.DATE(3), allowNull: true },
      createdAt: now(),
      changedAt: now(),
    },
    { sequelize, tableName: 'samplers', timestamps: false },
  )
  OperationRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      samplerId: { type: DataTypes.UUID, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      operation: { type: DataTypes.JSON, allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'operations', timestamps: false },
  )
  ClassRow.init(
    {
      id: uuid(),
      teacherId: { type: DataTypes.UUID, allowNull: false },
      samplerId: { type: DataTypes.UUID, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      learners: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.JSON, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      calendarSecret: { type: DataTypes.STRING(64), allowNull: true },
      joinCode: { type: DataTypes.STRING(16), allowNull: true },
      createdAt: now(),
      changedAt: now(),
    },
    { sequelize, tableName: 'classes', timestamps: false },
  )
  ClassOperationRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      classId: { type: DataTypes.UUID, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      operation: { type: DataTypes.JSON, allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'class_operations', timestamps: false },
  )
  VersionRow.init(
    {
      id: uuid(),
      samplerId: { type: DataTypes.UUID, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.JSON, allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'versions', timestamps: false },
  )
  StoresRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      document: { type: DataTypes.JSON, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      changedAt: now(),
    },
    { sequelize, tableName: 'stores', timestamps: false },
  )
  StoresOperationRow.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      storesId: { type: DataTypes.UUID, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      operation: { type: DataTypes.JSON, allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'stores_operations', timestamps: false },
  )
  PictureRow.init(
    {
      id: uuid(),
      teacherId: { type: DataTypes.UUID, allowNull: false },
      width: { type: DataTypes.INTEGER, allowNull: false },
      height: { type: DataTypes.INTEGER, allowNull: false },
      bytes: { type: DataTypes.BLOB('medium'), allowNull: false },
      createdAt: now(),
    },
    { sequelize, tableName: 'pictures', timestamps: false },
  )
  OwnStitchRow.init(
    {
      id: uuid(),
      teacherId: { type: DataTypes.UUID, allowNull: false },
      stitchId: { type: DataTypes.STRING(60), allowNull: false },
      document: { type: DataTypes.JSON, allowNull: false },
      changedAt: now(),
    },
    { sequelize, tableName: 'own_stitches', timestamps: false },
  )
}
