/** How this process prints: by itself, or by the one that leads it. */
import { isLed } from '../processes/index.ts'
import { printByLeader, printingByLeader } from './print-by-leader.ts'
import * as here from './printer.ts'

export const print: typeof here.print = isLed() ? printByLeader : here.print
export const printing: typeof here.printing = isLed() ? printingByLeader : here.printing
