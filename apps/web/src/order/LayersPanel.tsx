/** What lies over what on the cloth: each piece in layers, drawn lifted apart, with the reason for every layer. */
import type { LayerLink, Stack } from '@lemmata/core/order'
import { stackLayers } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import { listInWords } from '@lemmata/core/units'
import { Button } from 'antd'
import { useMemo } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { edit } from '../store/index.ts'
import { LayersPicture } from './LayersPicture.tsx'
import type { Course } from './use-course.ts'

interface Props {
  readonly sampler: Sampler
  readonly course: Course
  readonly letters: ReadonlyMap<string, string>
}

export function LayersPanel({ sampler, course, letters }: Props) {
  const { done } = useWorked()
  const stacks = useMemo(() => stackLayers(done, course.course, course.plan), [done, course])
  return (
    <section className="order-side" aria-label="Layers on the cloth">
      <h2>Layers</h2>
      {stacks.length === 0 && <p className="why">No two exercises meet on the cloth, so none has to wait for what lies under it.</p>}
      {stacks.map((stack) => (
        <OneStack key={stack.layers.flat().join()} stack={stack} sampler={sampler} course={course} letters={letters} />
      ))}
    </section>
  )
}

function OneStack({ stack, sampler, course, letters }: Props & { readonly stack: Stack }) {
  const { done } = useWorked()
  const names = new Map(course.course.map((item) => [item.id, item.name] as const))
  const named = (id: string): string => `${letters.get(id) ?? ''} ${names.get(id) ?? id}`.trim()
  const lesson = (id: string): number => course.plan.lessons.findIndex((ids) => ids.includes(id)) + 1
  const layers = useMemo(() => stack.layers.map((ids) => done.filter((one) => ids.includes(one.exercise.id))), [stack, done])
  const inWords = stack.layers.map((ids) => listInWords(ids.map(named))).join('; over it ')
  return (
    <div className="layer-stack">
      <LayersPicture
        layers={layers}
        letters={stack.layers.map((ids) => ids.map((id) => letters.get(id) ?? '').join(' '))}
        clothHex={sampler.cloth.colour.hex}
        label={`From the cloth upwards: ${inWords}`}
      />
      <ol className="plain-list" reversed>
        {[...stack.layers].reverse().flatMap((ids) =>
          ids.map((id) => (
            <li key={id}>
              <b>{named(id)}</b> <span className="quiet">lesson {lesson(id)}</span>
              {stack.links
                .filter((link) => link.then === id)
                .map((link) => (
                  <Reason key={link.first} link={link} sampler={sampler} />
                ))}
            </li>
          )),
        )}
      </ol>
      {stack.undecided.map(([a, b]) => (
        <div key={`${a} ${b}`} className="problem">
          <KnotGlyph />
          <span>
            {named(a)} and {named(b)} meet on the cloth, and nothing says which is worked first.{' '}
            <Button size="small" onClick={() => liesOver(sampler, a, b)}>
              {names.get(a)} lies over
            </Button>{' '}
            <Button size="small" onClick={() => liesOver(sampler, b, a)}>
              {names.get(b)} lies over
            </Button>
          </span>
        </div>
      ))}
    </div>
  )
}

function Reason({ link, sampler }: { link: LayerLink; sampler: Sampler }) {
  return (
    <div className={link.broken ? 'problem' : 'why'}>
      {link.broken && <KnotGlyph />}
      <span>
        {link.words}
        {link.broken ? ', but this order has it the other way round.' : '.'}{' '}
        {link.because === 'said' && (
          <Button size="small" onClick={() => liesNoLonger(sampler, link)}>
            Take back
          </Button>
        )}
      </span>
    </div>
  )
}

function liesOver(sampler: Sampler, then: string, first: string): void {
  const exercise = sampler.exercises.find((one) => one.id === then)
  if (exercise) edit({ kind: 'change-exercise', id: then, set: { over: [...(exercise.over ?? []), first] } })
}

function liesNoLonger(sampler: Sampler, { then, first }: LayerLink): void {
  const left = (sampler.exercises.find((one) => one.id === then)?.over ?? []).filter((id) => id !== first)
  edit(left.length > 0 ? { kind: 'change-exercise', id: then, set: { over: left } } : { kind: 'change-exercise', id: then, set: {}, clear: ['over'] })
}
