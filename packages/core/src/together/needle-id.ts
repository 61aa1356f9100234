import type { Needle } from '../materials/index.ts'

export const needleId = ({ family, size }: Needle): string => `${family.id} ${size}`
