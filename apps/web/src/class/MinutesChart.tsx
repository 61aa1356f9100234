/** Minutes at home, exercise by exercise: what is reckoned with its band of quick and slow hands, what the class took, and what one learner took. */
import type { MinutesTold } from '@lemmata/core/practice'
import { listInWords } from '@lemmata/core/units'
import { Area, ComposedChart, ErrorBar, Line, ResponsiveContainer, Scatter, Tooltip, XAxis, YAxis } from 'recharts'
import { DYES } from '../look/theme.ts'

interface Props {
  readonly rows: readonly MinutesTold[]
  readonly letterOf: (exercise: string) => string
  readonly nameOf: (exercise: string) => string
  /** Whose alone; then the class is left out. */
  readonly her?: { readonly name: string; readonly minutes: (exercise: string) => number }
  readonly heightPx: number
}

const round = (minutes: number): number => Math.round(minutes)

export function MinutesChart({ rows, letterOf, nameOf, her, heightPx }: Props) {
  const drawn = rows.map(({ exercise, reckoned, quick, slow, told }) => ({
    letter: letterOf(exercise),
    name: nameOf(exercise),
    // What is worked in class alone has no minutes at home: the line is broken there.
    reckoned: reckoned > 0 ? reckoned : null,
    band: reckoned > 0 ? ([quick, slow] as const) : null,
    told: told?.middle ?? null,
    spread: told ? ([told.middle - told.low, told.high - told.middle] as const) : undefined,
    hers: her && her.minutes(exercise) > 0 ? her.minutes(exercise) : null,
    learners: told?.learners ?? 0,
  }))
  const said = drawn.flatMap((one) => {
    const took = her ? one.hers : one.told
    return took === null ? [] : [`${one.name} ${round(took)}${one.reckoned === null ? '' : ` of ${round(one.reckoned)}`}`]
  })
  const whose = her ? her.name : 'This class'
  return (
    <figure className="minutes-chart" aria-label={`Minutes at home. ${said.length > 0 ? `${whose}: ${listInWords(said)}.` : `${whose} has told of none yet.`}`}>
      <ResponsiveContainer width="100%" height={heightPx}>
        <ComposedChart data={drawn} margin={{ top: 8, right: 12, bottom: 0, left: 0 }}>
          <XAxis dataKey="letter" interval={0} tick={{ fill: DYES.ink, fontSize: 14 }} />
          <YAxis width={44} unit="" tick={{ fill: DYES.ink, fontSize: 13 }} />
          <Tooltip content={({ payload }) => <Told one={payload?.[0]?.payload as (typeof drawn)[number] | undefined} her={her?.name} />} />
          <Area dataKey="band" fill={DYES.weldFill} stroke="none" type="linear" isAnimationActive={false} />
          <Line dataKey="reckoned" stroke={DYES.walnut} strokeDasharray="9 6" strokeWidth={2} dot={false} isAnimationActive={false} />
          {her ? (
            <Scatter dataKey="hers" fill={DYES.indigo} isAnimationActive={false} />
          ) : (
            <Scatter dataKey="told" fill={DYES.indigo} isAnimationActive={false}>
              <ErrorBar dataKey="spread" direction="y" width={6} stroke={DYES.indigo} strokeWidth={2} />
            </Scatter>
          )}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="quiet">
        Dashes: reckoned, in the band of quick and slow hands. Dots: {her ? `${her.name}, as far as told.` : 'the middle of this class, with its middle half.'}
      </figcaption>
    </figure>
  )
}

function Told({
  one,
  her,
}: {
  readonly one: { name: string; reckoned: number | null; told: number | null; hers: number | null; learners: number } | undefined
  readonly her: string | undefined
}) {
  if (!one) return null
  return (
    <p className="chart-told">
      <b>{one.name}</b>
      <br />
      {one.reckoned === null ? 'worked in class' : `reckoned ${round(one.reckoned)} min`}
      {one.told !== null && (
        <>
          <br />
          this class {round(one.told)} min, by {one.learners}
        </>
      )}
      {one.hers !== null && (
        <>
          <br />
          {her} {round(one.hers)} min
        </>
      )}
    </p>
  )
}
