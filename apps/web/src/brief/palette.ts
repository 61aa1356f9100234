/** Colours to choose a thread from, by their own names: dyes and weather. */
import type { SamplerThread } from '@lemmata/core/sampler'

export const PALETTE: readonly SamplerThread['colour'][] = [
  { name: 'Rainwater', hex: '#2F6496' },
  { name: 'Madder', hex: '#A62B2A' },
  { name: 'Willow', hex: '#557A2C' },
  { name: 'Low sun', hex: '#CC6510' },
  { name: 'Night indigo', hex: '#22365A' },
  { name: 'Sea wind', hex: '#17706C' },
  { name: 'Storm plum', hex: '#6A3E78' },
  { name: 'Brass', hex: '#A3730C' },
  { name: 'Summer haze', hex: '#5886AC' },
  { name: 'Wet slate', hex: '#4B5665' },
  { name: 'Bark', hex: '#6B4630' },
  { name: 'Catkin', hex: '#7A7A12' },
  { name: 'Rowan berry', hex: '#C0392F' },
  { name: 'Dog rose', hex: '#B3617B' },
  { name: 'Fern', hex: '#2F6B45' },
  { name: 'Clear noon', hex: '#3F8FB8' },
  { name: 'First frost', hex: '#B9CFDA' },
  { name: 'New snow', hex: '#F7F5EE' },
  { name: 'Straw', hex: '#D9B65A' },
  { name: 'Coal', hex: '#23242A' },
]

/** The first that is not there yet; after the last, the first again. */
export function nextColour(threads: readonly Pick<SamplerThread, 'colour'>[]): SamplerThread['colour'] {
  const there = new Set(threads.map((thread) => thread.colour.hex.toLowerCase()))
  return PALETTE.find((colour) => !there.has(colour.hex.toLowerCase())) ?? (PALETTE[threads.length % PALETTE.length] as SamplerThread['colour'])
}
