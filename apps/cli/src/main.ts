/** `lemmata COMMAND [FILE | -]`: the core on files, without server or database. */
import { readFileSync, writeFileSync } from 'node:fs'
import type { Problem, Sentences } from '@lemmata/core/base'
import { pathInWords, problemInWords, readJson } from '@lemmata/contract'
import { COMMANDS } from './commands.ts'

const USAGE = `lemmata COMMAND [FILE | -] [--out FILE]

  stitches        the library of stitches
  stitch FILE     a stitch document checked: steps, motions, difficulty
  gallery --out FOLDER [--stitch ID] [--moving] [--language de]
                  every stitch and version as a page to look at: results, steps, both hands
  work FILE       every exercise worked: holes, segments, marks, thread, minutes, difficulty
  fit FILE        thread, strands, needles and lengths that go together
  order FILE      the order of teaching, with its cost and reasons
  carries FILE    what goes on behind: the order of pieces, carries, where needlefuls end
  assign FILE [--stores TABLE.csv]
                  needles, and threads with them, for the whole course together: as few as serve, what changes by it
  calendar FILE [--class FILE] [--ics]
                  lessons on dates with their minutes, as the brief or a class of it has them
  kit FILE [--stores TABLE.csv]
                  for the class: thread to the needleful, the cut list, needles, cloth, what is bought
  layout FILE --into ROUND | WIDTHxHEIGHT
                  taken to another hoop or card: places change, stitches keep their length
  import FILE.svg a sampler whose drawing is the outlines of the file
  measure FILE --photo PICTURE --exercise ID [--touched X,Y] [--counted N]
                  a practice row photographed in its card: lengths, spread, drift, and one thing to change
  svg FILE        the sampler as SVG in millimetres
  sheet FILE --out FILE.pdf [--page a4|letter] [--hand left|right] [--lesson ID]
                  [--class FILE --learner ID]: as one learner of the class works it
                  [--bar MM]: what the bar of 50 mm measured on your printer, to correct it by
  book FILE --out FILE.pdf | FILE.html [--page a4|letter] [--hand left|right] [--form roomy|compact|large]
                  [--class FILE [--learner ID]]: the learner's book, with the class's dates
                  [--kind teacher|cards|slip]: the teacher's book; cards to cut out; what changed, [--since FILE]
                  [--ink black|saving] [--pattern a4|letter|a3|tabloid] [--booklet]: two pages on a sheet, to fold

FILE is a sampler, or a file that holds a single exercise; - is standard input.
`

/** 0 done, 1 the input is wrong, 2 the call is wrong. */
export async function run(args: readonly string[]): Promise<number> {
  const call = readCall(args)
  if (typeof call === 'string') {
    process.stderr.write(`${call}\n\n${USAGE}`)
    return 2
  }
  if (call.command === 'help') {
    process.stdout.write(USAGE)
    return 0
  }
  const command = COMMANDS[call.command]
  if (!command) {
    process.stderr.write(`There is no command "${call.command}".\n\n${USAGE}`)
    return 2
  }
  let given: unknown = null
  if (command.needsFile) {
    const text = readInput(call.file)
    if (text === null) {
      process.stderr.write(
        call.file === null ? `${call.command} needs a file, or - for standard input.\n` : `The file "${call.file}" cannot be read. Is its name right?\n`,
      )
      return 2
    }
    const read = command.isText ? { ok: true as const, value: text } : readJson(text)
    if (!read.ok) return report(read.problems)
    given = read.value
  }
  const texts: Record<string, string> = {}
  for (const [option, name] of FURTHER_FILES) {
    const file = call.options[option]
    if (file === undefined) continue
    const text = readInput(file)
    if (text === null) {
      process.stderr.write(`The file "${file}" cannot be read. Is its name right?\n`)
      return 2
    }
    texts[name] = text
  }
  const answer = await command.run(given, { ...call.options, ...texts })
  if (!answer.ok) return report(answer.problems)
  report(answer.problems)
  const { output } = answer.value
  if (call.command === 'gallery') process.stdout.write(String(output))
  else if (typeof output === 'string' || output instanceof Uint8Array) write(output, call.options.out)
  else write(`${JSON.stringify(output, null, 2)}\n`, call.options.out)
  return answer.value.wrong ? 1 : 0
}

interface Call {
  readonly command: string
  readonly file: string | null
  readonly options: Readonly<Record<string, string>>
}

/** Files beside the one that a command is about, and as what their text is handed on. */
const FURTHER_FILES = [
  ['class', 'classText'],
  ['stores', 'storesText'],
  ['since', 'sinceText'],
] as const

/** Said or not, with nothing after them. */
const SWITCHES = ['moving', 'ics', 'booklet']
const OPTIONS = [
  'out',
  'stitch',
  'into',
  'page',
  'hand',
  'lesson',
  'form',
  'bar',
  'class',
  'learner',
  'language',
  'stores',
  'pattern',
  'ink',
  'kind',
  'since',
  'photo',
  'exercise',
  'touched',
  'counted',
]

function readCall(args: readonly string[]): Call | string {
  const rest: string[] = []
  const options: Record<string, string> = {}
  for (let index = 0; index < args.length; index += 1) {
    const arg = args[index] as string
    if (!arg.startsWith('--')) {
      rest.push(arg)
      continue
    }
    const name = arg.slice(2)
    if (name === 'help') return { command: 'help', file: null, options: {} }
    if (SWITCHES.includes(name)) {
      options[name] = ''
      continue
    }
    const value = args[index + 1]
    if (!OPTIONS.includes(name)) return `There is no option --${name}.`
    if (value === undefined) return `--${name} needs a value after it.`
    options[name] = value
    index += 1
  }
  if (rest.length === 0) return 'Say which command.'
  if (rest.length > 2) return `One file at a time, please: ${rest.slice(1).join(', ')} were given.`
  return { command: rest[0] as string, file: rest[1] ?? null, options }
}

function readInput(file: string | null): string | null {
  if (file === null) return null
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch {
    return null
  }
}

const CLI_SENTENCES: Sentences = {
  'cli.no-dates': 'The brief has no first day and no class with dates was given: say one as brief.startDate, or --class FILE.',
  'cli.no-size': 'Say into what size: --into 152 for a round hoop, --into "6 in", --into 200x150 for a card.',
  'cli.no-exercise': ({ known }) => `Say which exercise with --exercise: ${(known as readonly string[]).join(', ')}.`,
  'cli.not-measured': ({ exercise }, say) => `Rows of ${say(exercise)} cannot be measured in a photograph.`,
  'cli.no-photo': ({ photo }, say) => `The picture "${say(photo)}" cannot be read. Is its name right? JPEG and PNG can.`,
  'cli.no-out': 'Say where the PDF goes: --out sheet.pdf',
  'cli.no-stitch': ({ stitch }, say) => `The library has no stitch "${say(stitch)}". "lemmata stitches" lists them.`,
  'cli.no-language': ({ language, known }, say) => `There is no language "${say(language)}" here; there are ${(known as readonly string[]).join(', ')}.`,
  'cli.no-folder': 'Say into which folder the pages go: --out gallery',
  'cli.no-learner': ({ learner, known }, say) => {
    const ids = known as readonly string[]
    return `There is no learner "${say(learner)}". ${ids.length === 0 ? 'Give her class with --class FILE.' : `There are ${ids.join(', ')}.`}`
  },
}

function report(problems: readonly Problem[]): number {
  for (const problem of problems) {
    const words = problemInWords(problem, 'mm', CLI_SENTENCES)
    const where = problem.path.length > 0 && !words.startsWith(pathInWords(problem.path)) ? `${pathInWords(problem.path)}: ` : ''
    process.stderr.write(`${problem.severity === 'caution' ? 'Caution: ' : ''}${where}${words}\n`)
  }
  return 1
}

function write(what: string | Uint8Array, out: string | undefined): void {
  if (out === undefined || out === '-') process.stdout.write(what)
  else writeFileSync(out, what)
}
