/** A worker thread does not inherit the loader that reads TypeScript: it is registered here first. */
import { register } from 'tsx/esm/api'

register()
await import('./print-worker.ts')
