/** The class's kit: thread cut and parted to the needleful, needles, cloth and tools, and what is bought for all. */
export { cutPutUps, type CutPutUps, type Lengths } from './cut-put-ups.ts'
export { type Bundles, fewestLengths, type Parted, type Parting, partStrands } from './part-strands.ts'
export { type ColourToCut, colourToCut, type Kit, type NeedleForKit, planKit } from './plan-kit.ts'
export { cutInWords, partingInWords, partInWords, putUpsInWords } from './in-words.ts'
export { hoopInWords, shoppingList, type ToBuy } from './shopping.ts'
export { type KitThread, type Needlefuls, threadsForKit, UNPICKED } from './thread-for-kit.ts'
export { type KitTool, toolsFor } from './tools.ts'
