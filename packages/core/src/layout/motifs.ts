/** Guides held together for good: a motif is moved, turned and copied as one. */
import type { GroupId, GuideId } from '../base/index.ts'
import type { GuideDrawing, GuideGroup, Operation } from '../sampler/index.ts'

/** The motif that a guide belongs to; null for one by itself. */
export function motifOf({ groups }: Pick<GuideDrawing, 'groups'>, id: GuideId): GuideGroup | null {
  return groups.find((one) => one.members.includes(id)) ?? null
}

/** These and all that belong to a motif with one of them, each once. */
export function withMotifs(drawing: Pick<GuideDrawing, 'groups'>, ids: readonly GuideId[]): readonly GuideId[] {
  return [...new Set(ids.flatMap((id) => [id, ...(motifOf(drawing, id)?.members ?? [])]))]
}

/** One motif of all of them and of what belonged to them; null for fewer than two, and for what is one motif already. */
export function makeMotif(drawing: GuideDrawing, held: readonly GuideId[], id: GroupId): Operation | null {
  const all = withMotifs(drawing, held)
  const members = drawing.guides.filter((one) => all.includes(one.id)).map((one) => one.id)
  const before = drawing.groups.filter((one) => one.members.some((member) => members.includes(member)))
  if (members.length < 2 || (before.length === 1 && before[0]?.members.length === members.length)) return null
  return {
    kind: 'batch',
    operations: [
      ...before.map((one): Operation => ({ kind: 'remove-group', id: one.id })),
      { kind: 'add-group', group: { id, members }, at: drawing.groups.length - before.length },
    ],
  }
}

/** Guides by themselves again; copies that the motif had go with it. Null where none of them is in one. */
export function takeApart({ groups }: Pick<GuideDrawing, 'groups'>, held: readonly GuideId[]): Operation | null {
  const gone = groups.filter((one) => one.members.some((member) => held.includes(member)))
  return gone.length === 0 ? null : { kind: 'batch', operations: gone.map((one) => ({ kind: 'remove-group', id: one.id })) }
}
