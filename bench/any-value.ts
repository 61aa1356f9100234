/** Values as a schema has them, and as whoever means ill or has an old page may send them; all of them from one seeded dice. */

export type Dice = () => number

export const oneOf = <One>(roll: Dice, all: readonly One[]): One => all[Math.floor(roll() * all.length)] as One

/** As JSON Schema writes it; only what our own schemas come to. */
export interface Schema {
  readonly type?: string | readonly string[]
  readonly const?: unknown
  readonly enum?: readonly unknown[]
  readonly anyOf?: readonly Schema[]
  readonly oneOf?: readonly Schema[]
  readonly allOf?: readonly Schema[]
  readonly properties?: Readonly<Record<string, Schema>>
  readonly required?: readonly string[]
  readonly items?: Schema
  readonly prefixItems?: readonly Schema[]
  readonly additionalProperties?: Schema | boolean
  readonly format?: string
  readonly minimum?: number
  readonly maximum?: number
  readonly $ref?: string
  readonly $defs?: Readonly<Record<string, Schema>>
}

const DEEPEST = 6

/** `ids`: of what is there, so that some of what is sent means something. */
export function valueOf(schema: Schema, roll: Dice, ids: readonly string[], root: Schema = schema, depth = 0): unknown {
  if (schema.$ref !== undefined) {
    const name = schema.$ref.split('/').at(-1) ?? ''
    return depth > DEEPEST ? null : valueOf(root.$defs?.[name] ?? (schema.$ref === '#' ? root : {}), roll, ids, root, depth + 1)
  }
  if (schema.const !== undefined) return schema.const
  if (schema.enum) return oneOf(roll, schema.enum)
  const choices = schema.anyOf ?? schema.oneOf
  if (choices) return valueOf(oneOf(roll, choices), roll, ids, root, depth + 1)
  if (schema.allOf) return Object.assign({}, ...schema.allOf.map((one) => valueOf(one, roll, ids, root, depth + 1) as object))
  const type = typeof schema.type === 'string' ? schema.type : schema.type && oneOf(roll, schema.type)
  switch (type) {
    case 'object':
      return objectOf(schema, roll, ids, root, depth)
    case 'array': {
      if (schema.prefixItems) return schema.prefixItems.map((one) => valueOf(one, roll, ids, root, depth + 1))
      const count = depth > DEEPEST ? 0 : Math.floor(roll() * 4)
      return Array.from({ length: count }, () => valueOf(schema.items ?? {}, roll, ids, root, depth + 1))
    }
    case 'string':
      return stringOf(schema, roll, ids)
    case 'integer':
      return Math.round(numberOf(schema, roll))
    case 'number':
      return numberOf(schema, roll)
    case 'boolean':
      return roll() < 0.5
    case 'null':
      return null
    default:
      return oneOf(roll, HOSTILE)
  }
}

function objectOf(schema: Schema, roll: Dice, ids: readonly string[], root: Schema, depth: number): unknown {
  const made: Record<string, unknown> = {}
  for (const [key, one] of Object.entries(schema.properties ?? {}))
    if (schema.required?.includes(key) || (depth < DEEPEST && roll() < 0.4)) made[key] = valueOf(one, roll, ids, root, depth + 1)
  if (typeof schema.additionalProperties === 'object' && roll() < 0.5)
    made[oneOf(roll, [...ids, 'e1', '__proto__'])] = valueOf(schema.additionalProperties, roll, ids, root, depth + 1)
  return made
}

function stringOf({ format }: Schema, roll: Dice, ids: readonly string[]): string {
  if (format === 'uuid') return roll() < 0.5 ? oneOf(roll, ids) : crypto.randomUUID()
  if (format === 'date-time') return '2027-01-14T18:30:00.000Z'
  return oneOf(roll, [
    'e1',
    'g1',
    'l1',
    'Rain',
    'back-stitch',
    'M 0 0 L 40 0',
    'M 10 10 C 20 0 30 20 40 10',
    '2027-01-14',
    '18:30',
    '#446688',
    ...ids.slice(0, 3),
  ])
}

function numberOf({ minimum = -10, maximum = 400 }: Schema, roll: Dice): number {
  const [least, most] = [Math.max(minimum, -1e6), Math.min(maximum, 1e6)]
  return roll() < 0.1 ? oneOf(roll, [least, most]) : least + roll() * (most - least)
}

/** What nobody sends by mistake, and some by intent. */
export const HOSTILE: readonly unknown[] = [
  ...[
    null,
    true,
    '',
    0,
    -1,
    1e308,
    -1e-320,
    2 ** 53,
    [],
    {},
    [[]],
    '\u0000',
    '\ud800',
    '\u{1f9f5}'.repeat(40),
    '<script>alert(1)</script>',
    "'; DROP TABLE teachers; --",
  ],
  ...[
    '../../../etc/passwd',
    '%00',
    '${7*7}',
    'x'.repeat(5000),
    'M '.repeat(2000),
    { __proto__: { admin: true } },
    { constructor: { prototype: {} } },
    [null, [null, [null]]],
  ],
  deep(400),
]

function deep(levels: number): unknown {
  let made: unknown = 1
  for (let level = 0; level < levels; level += 1) made = level % 2 === 0 ? [made] : { a: made }
  return made
}

/** The same with something in it changed for what does not belong there. */
export function spoiled(value: unknown, roll: Dice): unknown {
  if (typeof value !== 'object' || value === null || roll() < 0.2) return oneOf(roll, HOSTILE)
  if (Array.isArray(value)) {
    const at = Math.floor(roll() * (value.length + 1))
    return at === value.length ? [...(value as unknown[]), oneOf(roll, HOSTILE)] : value.map((one: unknown, index) => (index === at ? spoiled(one, roll) : one))
  }
  const entries = Object.entries(value)
  const at = Math.floor(roll() * (entries.length + 1))
  if (at === entries.length) return { ...value, [oneOf(roll, ['id', 'kind', '__proto__', 'x'.repeat(300)])]: oneOf(roll, HOSTILE) }
  return Object.fromEntries(
    roll() < 0.2 ? entries.filter((_, index) => index !== at) : entries.map(([key, one], index) => [key, index === at ? spoiled(one as unknown, roll) : one]),
  )
}
