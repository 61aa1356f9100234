/** The cut list as it is read with scissors in hand. */
import { strandsInWords } from '../assign/index.ts'
import { counted, formatThread, listInWords } from '../units/index.ts'
import type { ColourToCut } from './plan-kit.ts'

/** "Cut 13 lengths": of one length of a colour. */
export const cutInWords = (lengths: number): string => `Cut ${counted(lengths, 'length')}`

/** "Part them: 11 of three strands, 22 of two"; nothing where they are used as they are cut. */
export function partInWords({ kind, lengths }: Pick<ColourToCut, 'kind' | 'lengths'>, at = 0): string | null {
  const found = lengths[at]
  if (!found || kind.putUp.strands === 1) return null
  const whole = found.bundles.every((one) => one.strands === kind.putUp.strands)
  if (whole) return `Keep them whole: ${strandsInWords(kind.putUp.strands)}`
  const parts = [...found.bundles].filter((one) => one.count > 0).sort((a, b) => b.strands - a.strands)
  return `Part them: ${parts.map((one, index) => `${one.count} of ${index === 0 ? strandsInWords(one.strands) : strandsInWords(one.strands).replace(/ strands?$/, '')}`).join(', ')}`
}

/** "12 of six strands, 2 of four": one kit's threads of a colour; counted where they are not divided. */
export function cardInWords({ kind, kit }: Pick<ColourToCut, 'kind' | 'kit'>): string {
  if (kind.putUp.strands === 1) return kit.cut.map((one) => String(one.count)).join(', ')
  return kit.cut
    .map(({ count, strands }, index) => `${count} of ${index === 0 ? strandsInWords(strands) : strandsInWords(strands).replace(/ strands?$/, '')}`)
    .join(', ')
}

/** "1 skein of 8 m, 2.1 m left". */
export function putUpsInWords({ kind, putUps, leftMm }: Pick<ColourToCut, 'kind' | 'putUps' | 'leftMm'>): string {
  const { word, lengthMm } = kind.putUp
  return `${counted(putUps, word)} of ${lengthMm / 1000} m, ${leftInWords(leftMm)} left`
}

/** Nobody measures a rest to the centimetre. */
const leftInWords = (mm: number): string => (mm >= 1000 ? `${(mm / 1000).toFixed(1)} m` : formatThread(mm))

/** "3 and 3": how one length is parted. */
export const partingInWords = (bundles: readonly number[]): string => listInWords(bundles.map(String))
