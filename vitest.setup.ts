/** Before every test file: what properties draw at random is drawn alike on every machine and day, so that a failure can be met again. */
import fc from 'fast-check'

fc.configureGlobal({ seed: 20_261_126 })
