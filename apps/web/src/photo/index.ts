/** A photographed row: measured off the page's thread, and shown with its stitches marked. */
export { type Measured, type Photo, type PhotoState, startPhotoWorker, usePhoto } from './use-photo.ts'
export { WindowSeen } from './WindowSeen.tsx'
