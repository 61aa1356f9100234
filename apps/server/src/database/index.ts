/** The record: connection, tables, migrations. */
export { connectDatabase } from './connect.ts'
export type { DatabaseSettings } from './connect.ts'
export { KeyRow, LinkRow, PracticeRow, RulerCheckRow, SentPictureRow } from './learning-models.ts'
export { migrate } from './migrate.ts'
export {
  ClassOperationRow,
  ClassRow,
  defineModels,
  OperationRow,
  OwnStitchRow,
  PictureRow,
  ResetRow,
  SamplerRow,
  SessionRow,
  StoresOperationRow,
  StoresRow,
  Teacher,
  TrailRow,
  VersionRow,
} from './models.ts'
