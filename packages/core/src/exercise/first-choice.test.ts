/** What comes first for well-known work, with its needle: as teachers would reach for it. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { nameNeedle } from '../materials/index.ts'
import { newSampler, type Materials, type SamplerCloth, type SamplerThread } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentencesOf, workAlone } from '../testing/index.ts'

const thread = (id: string, kind: string, weight?: string): SamplerThread => ({ id, kind, ...(weight ? { weight } : {}), colour: { name: id, hex: '#224466' } })
const THREADS: Readonly<Record<string, SamplerThread>> = {
  cotton: thread('cotton', 'stranded-cotton'),
  pearl5: thread('pearl5', 'pearl-cotton', '5'),
  pearl8: thread('pearl8', 'pearl-cotton', '8'),
  sewing: thread('sewing', 'sewing-cotton', '50'),
  wool: thread('wool', 'tapestry-wool'),
}
const plain = newSampler('First choice')

/** Strands and needle of one of its threads. */
function chosen(stitch: string, role: string, materials: Materials, cloth: Partial<SamplerCloth> = {}): { strands: number; needle: string; said: string } {
  const document = LIBRARY.find((one) => one.id === stitch)
  if (!document) throw new Error(stitch)
  const around = surroundingsOf({ ...plain, cloth: { ...plain.cloth, ...cloth }, threads: Object.values(THREADS) })
  const done = workAlone({ id: 'e', name: 'Test', stitch, guide: practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160), materials }, around)
  if (!done.ok) throw new Error(`${stitch}: ${sentencesOf(done.problems).join(' ')}`)
  const one = done.value.assigned.threads.find((other) => other.role === role)
  if (!one) throw new Error(`${stitch} has no ${role}`)
  return { strands: one.strands.value, needle: nameNeedle(one.needle.value), said: sentencesOf(done.value.problems).join(' ') }
}

describe('first choices', () => {
  it.each<[string, string, string, Materials, RegExp, Partial<SamplerCloth>?]>([
    ['satin in two strands', 'satin-stitch', 'main', { main: { thread: 'cotton', strands: 2 } }, /^Embroidery 8$/],
    ['long and short in one', 'long-and-short', 'main', { main: { thread: 'cotton', strands: 1 } }, /^Embroidery 10$/],
    ['bullion in two', 'bullion-knot', 'main', { main: { thread: 'cotton', strands: 2 } }, /^Milliner [678]$/],
    ['bullion in four', 'bullion-knot', 'main', { main: { thread: 'cotton', strands: 4 } }, /^Milliner [345]$/],
    ['drizzle', 'drizzle-stitch', 'main', { main: { thread: 'cotton', strands: 2 } }, /^Milliner \d+$/],
    ['a whipping', 'whipped-back', 'whipping', { main: { thread: 'cotton', strands: 2 }, whipping: { thread: 'cotton', strands: 2 } }, /^Tapestry 26$/],
    ['a woven wheel in pearl 5', 'woven-wheel', 'main', { main: { thread: 'pearl5' } }, /^Tapestry 22$/],
    ['a woven picot in pearl 5', 'woven-picot', 'main', { main: { thread: 'pearl5' } }, /^(Tapestry 22|Darner \d)$/],
    ['a line in pearl 8', 'back-stitch', 'main', { main: { thread: 'pearl8' } }, /^(Embroidery 5|Chenille 24)$/],
    ['a tie in sewing cotton 50', 'couching-stitch', 'tie', { main: { thread: 'cotton', strands: 4 }, tie: { thread: 'sewing' } }, /^Sharps 10$/],
    ['a raised piece tacked down', 'felt-padding', 'main', { main: { thread: 'sewing' } }, /^(Beading 1\d|Sharps 1[012])$/],
    ['counted over two on 28 to the inch', 'half-cross', 'main', { main: { thread: 'cotton', strands: 2 } }, /^Tapestry 2[46]$/, { kind: 'linen-28' }],
  ])('%s', (_what, stitch, role, materials, needle, cloth) => {
    expect(chosen(stitch, role, materials, cloth ?? {}).needle).toMatch(needle)
  })

  it('tapestry wool on calico: the hole is opened first, then a chenille', () => {
    const { needle, said } = chosen('back-stitch', 'main', { main: { thread: 'wool' } }, { kind: 'calico' })
    expect(needle).toMatch(/^Chenille 1[468]$/)
    expect(said).toMatch(/stiletto/)
  })
})
