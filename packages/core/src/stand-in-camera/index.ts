/** A camera that is not there: rows as a hand might have worked them, photographed as a phone would. For the demo and for tests. */
export { paintScene, type Scene, type SceneLook } from './scene.ts'
export { EVEN_HANDWORK, type Handwork, type RowTruth, type SewnRow, sewRow } from './sew.ts'
export { PLAIN_SHOT, shoot, type Shot } from './shoot.ts'
