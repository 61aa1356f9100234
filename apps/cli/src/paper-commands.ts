/** What is printed: the sheet of a lesson or of all, and the learner's book. */
import { error, failure, hasErrors, type Result, success } from '@lemmata/core/base'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import { bookRequest, problemsOf, readClass, readJson, readSamplerFile, type SamplerFile, sheetRequest } from '@lemmata/contract'
import type { Answer } from './command.ts'

export async function sheet(given: unknown, options: Readonly<Record<string, string>>): Promise<Result<Answer>> {
  const file = readSamplerFile(given)
  if (!file.ok) return file
  const wanted = sheetRequest
    .pick({ page: true, pattern: true, hand: true, lesson: true, bar: true })
    .safeParse({ page: options.page, pattern: options.pattern, hand: options.hand, lesson: options.lesson, bar: options.bar })
  if (!wanted.success) return failure(...problemsOf(wanted.error))
  if (options.out === undefined) return failure(error('cli.no-out', []))
  const learner = learnerFor(file.value, options)
  if (!learner.ok) return learner
  // Loaded when needed: the other commands start in half the time without it.
  const { printSampler } = await import('@lemmata/print')
  const printed = await printSampler({
    sampler: file.value.sampler,
    ...wanted.data,
    ...{ barMm: wanted.data.bar, patternPage: wanted.data.pattern },
    ...(learner.value ? { learner: learner.value } : {}),
    made: new Date(),
  })
  return printed.ok ? success({ output: printed.value, wrong: hasErrors(printed.problems) }, printed.problems) : printed
}

/** The whole course for one pair of hands, with the class's dates where it has any. */
export async function book(given: unknown, options: Readonly<Record<string, string>>): Promise<Result<Answer>> {
  const file = readSamplerFile(given)
  if (!file.ok) return file
  const { page, pattern, hand, form, ink, bar, kind, booklet } = options
  const wanted = bookRequest
    .pick({ page: true, pattern: true, hand: true, form: true, ink: true, bar: true, kind: true, booklet: true })
    .safeParse({ page, pattern, hand, form, ink, bar, kind, booklet: booklet === undefined ? undefined : 'yes' })
  if (!wanted.success) return failure(...problemsOf(wanted.error))
  if (options.out === undefined) return failure(error('cli.no-out', []))
  const learner = learnerFor(file.value, options)
  if (!learner.ok) return learner
  const group = options.classText === undefined ? null : classOf(options.classText)
  if (group && !group.ok) return group
  const since = options.sinceText === undefined ? null : samplerOf(options.sinceText)
  if (since && !since.ok) return since
  const { bookAsWebPage, printBook } = await import('@lemmata/print')
  const order = {
    ...{ sampler: file.value.sampler, ...wanted.data, booklet: booklet !== undefined },
    ...{ barMm: wanted.data.bar, patternPage: wanted.data.pattern, group: group?.value, made: new Date() },
    ...(learner.value ? { learner: learner.value } : {}),
    since: since ? { sampler: since.value.sampler, version: options.since ?? '' } : undefined,
  }
  const printed = options.out.endsWith('.html') ? bookAsWebPage(order) : await printBook(order)
  return printed.ok ? success({ output: printed.value, wrong: hasErrors(printed.problems) }, printed.problems) : printed
}

function samplerOf(text: string): Result<SamplerFile> {
  const json = readJson(text)
  return json.ok ? readSamplerFile(json.value) : json
}

function classOf(text: string): Result<ClassDocument> {
  const json = readJson(text)
  return json.ok ? readClass(json.value) : json
}

/** One of the class's learners; an old sampler's file may still hold its own. */
function learnerFor(file: SamplerFile, options: Readonly<Record<string, string>>): Result<Learner | null> {
  if (options.learner === undefined) return success(null)
  let { learners } = file
  if (options.classText !== undefined) {
    const read = classOf(options.classText)
    if (!read.ok) return read
    learners = read.value.learners
  }
  const found = learners.find((one) => one.id === options.learner)
  const known = learners.map((one) => one.id)
  return found ? success(found) : failure(error('cli.no-learner', [], { learner: options.learner, known }))
}
