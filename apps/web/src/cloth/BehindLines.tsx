/** What goes on behind, over the back of the cloth: carries whole, finished off and begun anew dashed, needlefuls' ends as scissors' cuts. */
import type { ThreadBehind } from '@lemmata/core/behind'
import type { Ink } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import { toScreen, type View } from './view.ts'

interface Props {
  readonly threads: readonly ThreadBehind[]
  readonly view: View
  readonly mirroredMm: number
  readonly ink: Ink
}

const CUT_PX = 4.5

export function BehindLines({ threads, view, mirroredMm, ink }: Props) {
  const place = ({ x, y }: Point): Point => toScreen(view, { x: mirroredMm - x, y })
  return (
    <g aria-hidden="true" fill="none" strokeLinecap="round">
      {threads.flatMap(({ thread, role, strands, carries, longHops, needlefuls }) => {
        const key = `${thread.id} ${strands} ${role}`
        return [
          ...carries.map(({ from, to, kind }, index) => (
            <Way key={`${key} c${index}`} from={place(from)} to={place(to)} under={ink.under} colour={thread.colour.hex} kind={kind} />
          )),
          ...longHops.map(({ from, to }, index) => (
            <Way key={`${key} h${index}`} from={place(from)} to={place(to)} under={ink.under} colour={ink.words} kind="too-long" />
          )),
          ...needlefuls.map(({ at }, index) => {
            const { x, y } = place(at)
            return (
              <g key={`${key} n${index}`}>
                {[ink.under, ink.words].map((colour, layer) => (
                  <path
                    key={colour}
                    d={`M${x - CUT_PX} ${y - CUT_PX}L${x + CUT_PX} ${y + CUT_PX}M${x - CUT_PX} ${y + CUT_PX}L${x + CUT_PX} ${y - CUT_PX}`}
                    stroke={colour}
                    strokeWidth={layer === 0 ? 4.5 : 1.8}
                  />
                ))}
              </g>
            )
          }),
        ]
      })}
    </g>
  )
}

interface WayProps {
  readonly from: Point
  readonly to: Point
  readonly under: string
  readonly colour: string
  readonly kind: 'carried' | 'begun-anew' | 'too-long'
}

/** On its lighter ground, so that it is seen on any cloth and on thread. */
function Way({ from, to, under, colour, kind }: WayProps) {
  const data = `M${from.x.toFixed(1)} ${from.y.toFixed(1)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}`
  return (
    <>
      {kind !== 'begun-anew' && <path d={data} stroke={under} strokeWidth="5" opacity="0.85" />}
      {kind === 'begun-anew' ? (
        <path d={data} stroke={colour} strokeWidth="1.2" strokeDasharray="1 5" />
      ) : (
        <path d={data} stroke={colour} strokeWidth="2.2" strokeDasharray={kind === 'too-long' ? '1 4' : undefined} />
      )}
    </>
  )
}
