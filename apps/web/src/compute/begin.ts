/** Run before the page's own code, where a sampler is shown: what it waits for longest is begun while the rest of it is on its way. */
import { startWorkers } from './started.ts'

startWorkers()
