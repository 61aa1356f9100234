/** Every thread that an exercise is worked in, by role and colour, with what it uses over all pieces. */
import { type AssignedThread, threadOfRole } from '../assign/index.ts'
import { needleKey } from '../materials/index.ts'
import { addRuns, measureThread, runsOf, type ThreadRun, type ThreadUse } from '../measure/index.ts'
import type { SamplerThread } from '../sampler/index.ts'
import type { WorkedPiece } from './work-piece.ts'

export interface UsedThread extends Pick<AssignedThread, 'role' | 'kind' | 'strands' | 'bundle' | 'needle'> {
  readonly thread: SamplerThread
  readonly needlefulMm: number
  readonly use: ThreadUse
}

interface Counted {
  readonly assigned: AssignedThread
  readonly thread: SamplerThread
  readonly piece: WorkedPiece
  run: ThreadRun
}

export function usedThreads(pieces: readonly WorkedPiece[]): readonly UsedThread[] {
  const counted = new Map<string, Counted>()
  for (const piece of pieces) {
    for (const { role, row, run } of runsOf(piece.worked)) {
      const assigned = threadOfRole(piece.assigned, role)
      const thread = threadOfRow(assigned, row)
      const key = `${role} ${thread.id} ${assigned.strands.value} ${needleKey(assigned.needle.value)}`
      const known = counted.get(key)
      if (known) known.run = addRuns(known.run, run)
      else counted.set(key, { assigned, thread, piece, run })
    }
  }
  const order = (pieces[0] as WorkedPiece).assigned.threads.map((one) => one.role)
  return [...counted.values()]
    .sort((a, b) => order.indexOf(a.assigned.role) - order.indexOf(b.assigned.role))
    .map(({ assigned, thread, piece, run }) => {
      const { ways, cloth } = piece.assigned
      const { role, kind, strands, bundle, needle } = assigned
      const settings = { thicknessMm: cloth.thicknessMm, diameterMm: bundle.diameterMm, handling: ways.handling, needlefulMm: ways.needlefulMm }
      return { role, kind, strands, bundle, needle, thread, needlefulMm: ways.needlefulMm, use: measureThread(run, settings) }
    })
}

/** Of an exercise in all its colours, without what is unpicked. */
export const needlefulsOf = ({ threads }: { readonly threads: readonly UsedThread[] }): number => threads.reduce((sum, { use }) => sum + use.needlefuls, 0)

/** The shade of a row of an interlocking fill; the last serves all later rows. */
export function threadOfRow({ thread, shades }: Pick<AssignedThread, 'thread' | 'shades'>, row: number | null): SamplerThread {
  if (shades.length === 0) return thread.value
  return shades[Math.min(row ?? 0, shades.length - 1)] as SamplerThread
}
