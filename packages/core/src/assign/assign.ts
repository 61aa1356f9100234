/**
 * Thread, strands and needle for every thread of an exercise, each given by the teacher or chosen with its reason;
 * and the lengths and counts of its stitch that follow.
 */
import { caution, error, failure, mm, type Problem, type Result, success, type Told } from '../base/index.ts'
import type { GuideKind } from '../guide/index.ts'
import {
  type Bundle,
  type Cloth,
  contrast,
  isCounted,
  makeBundle,
  type Needle,
  type NeedleFit,
  nameThread,
  type ThreadKind,
  wantedShaft,
} from '../materials/index.ts'
import {
  applyBase,
  applyVariant,
  chooseVariant,
  type MaterialValues,
  type ParameterValues,
  resolveParameters,
  rolesOf,
  type StitchDocument,
  type ThreadRole,
} from '../notation/index.ts'
import type { Language } from '../language/index.ts'
import { type Exercise, type SamplerCloth, type SamplerThread, waysFor, type WaysOfWorking } from '../sampler/index.ts'
import { findStitch } from '../stitches/index.ts'
import { adviseStrands, adviseStrandsBeside, whyStrands } from './advise-strands.ts'
import type { Choice } from './choice.ts'
import { chooseNeedle } from './choose-needle.ts'
import { type ChosenThread, chooseThread } from './choose-thread.ts'
import { readCloth, type Surroundings } from './context.ts'
import { materialValues } from './material-values.ts'

/** One of the stitch's threads, as it is worked. */
export interface AssignedThread {
  readonly role: ThreadRole
  readonly thread: Choice<SamplerThread>
  /** By row of an interlocking fill; none where it is worked in one colour. */
  readonly shades: readonly SamplerThread[]
  readonly kind: ThreadKind
  readonly strands: Choice<number>
  /** What the core would choose, whether or not it was overruled. */
  readonly advisedStrands: Choice<number>
  readonly bundle: Bundle
  /** Against the cloth, of the colour that shows least: 1 to 21. */
  readonly contrast: number
  readonly needle: Choice<Needle>
  readonly needles: readonly NeedleFit[]
}

export interface Assigned {
  /** With its base's passes before its own. */
  readonly document: StitchDocument
  /** The stitch that a composite or a filling of rows is built on. */
  readonly base: string | null
  readonly variant: string | null
  readonly ways: WaysOfWorking
  /** Of its steps and names. */
  readonly language: Language
  readonly cloth: Cloth
  readonly main: AssignedThread
  /** All of the stitch's threads, the main one first. */
  readonly threads: readonly [AssignedThread, ...AssignedThread[]]
  readonly parameters: ParameterValues
  /** Of the main thread. */
  readonly materials: MaterialValues
  readonly problems: readonly Problem[]
}

export function threadOfRole(assigned: Pick<Assigned, 'main' | 'threads'>, role: ThreadRole): AssignedThread {
  return assigned.threads.find((one) => one.role === role) ?? assigned.main
}

/** `guide`: the kind it is worked on, which may choose a variant. Problems have paths from the exercise. */
export function assignMaterials(exercise: Omit<Exercise, 'on'>, guide: GuideKind, around: Surroundings): Result<Assigned> {
  const stitch = prepareStitch(exercise, guide, around)
  if (!stitch.ok) return stitch
  const { document, ways } = stitch.value
  const cloth = readCloth(around.cloth)
  const lengths = exercise.parameters ?? {}
  const [mainRole, ...otherRoles] = rolesOf(document)
  const problems: Problem[] = unknownRoles(exercise, document)

  const threads: Omit<AssignedThread, 'needle' | 'needles'>[] = []
  for (const role of [mainRole, ...otherRoles]) {
    const main = threads[0]
    const material = exercise.materials?.[role] ?? {}
    const chosen = chooseThread({ role, material, threads: around.threads, main: main?.thread.value ?? null })
    if (!chosen.ok) return chosen
    problems.push(...chosen.value.problems)
    const { kind } = chosen.value
    const advised = main ? success(adviseStrandsBeside(role, kind, main.bundle)) : adviseStrands({ document, kind, cloth, given: lengths })
    if (!advised.ok) return advised
    const why = (strands: number): Told =>
      main
        ? { code: 'strands.alone', figures: { strands, wide: mm(makeBundle(kind, strands).lineWidthMm) } }
        : whyStrands({ document, kind, cloth, given: lengths }, strands)
    const bundled = bundleOf(role, chosen.value, material.strands, advised.value, why, around.cloth)
    if (!bundled.ok) return bundled
    threads.push(bundled.value)
    problems.push(...hardToSee(role, bundled.value, around.cloth))
  }
  const [first] = threads
  if (!first) return failure(error('work.nothing', ['materials'], { stitch: document.name }))

  // Lengths that follow from the needle are worked out once with one near it, so that wraps can be counted, and then with the one chosen.
  const near = wantedShaft({ bundle: first.bundle, thread: first.kind, school: ways.needle })
  const before = resolveParameters(document, materialValues(first.bundle, cloth, near), lengths)
  if (!before.ok) return before
  const assigned: AssignedThread[] = []
  for (const one of threads) {
    const needle = chooseNeedle({
      document,
      role: one.role,
      kind: one.kind,
      bundle: one.bundle,
      cloth,
      school: ways.needle,
      parameters: before.value,
      materials: materialValues(first.bundle, cloth, near),
      given: exercise.materials?.[one.role]?.needle,
      counted: guide === 'grid' && isCounted(around.cloth.kind),
    })
    if (!needle.ok) return needle
    problems.push(...needle.value.problems)
    assigned.push({ ...one, needle: needle.value.needle, needles: needle.value.needles })
  }
  const [main, ...others] = assigned as [AssignedThread, ...AssignedThread[]]
  const materials = materialValues(main.bundle, cloth, main.needle.value.shaftMm)
  const parameters = resolveParameters(document, materials, lengths)
  if (!parameters.ok) return parameters
  return success({ ...stitch.value, cloth, main, threads: [main, ...others], parameters: parameters.value, materials, problems })
}

type Prepared = Pick<Assigned, 'document' | 'base' | 'variant' | 'ways' | 'language'>

/** The stitch in the school that is worked here, with its base's passes before its own. */
function prepareStitch(exercise: Omit<Exercise, 'on'>, guide: GuideKind, around: Surroundings): Result<Prepared> {
  const found = findStitch(exercise.stitch, around.stitches)
  if (!found) return failure(error('assign.no-stitch', ['stitch'], { stitch: exercise.stitch }))
  const ways = waysFor(around.brief, exercise.waysOfWorking)
  const variant = chooseVariant(found, exercise.variant, { ...ways, guide: guide === 'spot' ? 'spots' : guide })
  if (exercise.variant !== undefined && variant === null)
    return failure(error('assign.no-variant', ['variant'], { stitch: found.name, variant: exercise.variant, has: Object.keys(found.variants ?? {}) }))
  const document = applyBase(applyVariant(found, variant), (id) => findStitch(id, around.stitches), { ...ways })
  if (!document) return failure(error('assign.no-base', ['stitch'], { stitch: found.name, base: found.base ?? '' }))
  return success({ document, base: found.base ?? null, variant, ways, language: around.brief.language ?? 'en' })
}

/** What is kept for a thread that this stitch does not have: harmless, and said. */
function unknownRoles(exercise: Omit<Exercise, 'on'>, document: StitchDocument): Problem[] {
  const roles = rolesOf(document)
  return Object.keys(exercise.materials ?? {})
    .filter((role) => !roles.includes(role))
    .map((role) => caution('assign.no-role', ['materials', role], { stitch: document.name, role, has: roles }))
}

/** Under this a line of thread is hardly told from the cloth; tone on tone is sometimes meant. WCAG asks 3 of what must be seen. */
const SEEN_CONTRAST = 1.5

function hardToSee(
  role: ThreadRole,
  { contrast: least, thread, shades }: Pick<AssignedThread, 'contrast' | 'thread' | 'shades'>,
  cloth: SamplerCloth,
): Problem[] {
  if (least >= SEEN_CONTRAST) return []
  const which = [thread.value, ...shades].find((one) => contrast(one.colour.hex, cloth.colour.hex) === least) ?? thread.value
  return [
    caution('assign.contrast', ['materials', role, 'thread'], { thread: which.colour.name, cloth: cloth.colour.name, contrast: least, seen: SEEN_CONTRAST }),
  ]
}

function bundleOf(
  role: ThreadRole,
  { thread, kind, shades }: ChosenThread,
  wanted: number | undefined,
  advised: Choice<number>,
  why: (strands: number) => Told,
  cloth: SamplerCloth,
): Result<Omit<AssignedThread, 'needle' | 'needles'>> {
  if (wanted !== undefined && (!Number.isInteger(wanted) || wanted < 1 || wanted > kind.mostStrands))
    return failure(error('assign.strands', ['materials', role, 'strands'], { thread: nameThread(kind), most: kind.mostStrands, wanted }))
  const strands = wanted === undefined ? advised : { value: wanted, chosen: false, reason: why(wanted) }
  const least = Math.min(...[thread.value, ...shades].map((one) => contrast(one.colour.hex, cloth.colour.hex)))
  return success({ role, thread, shades, kind, contrast: least, strands, advisedStrands: advised, bundle: makeBundle(kind, strands.value) })
}
