/** A sampler as its worked cloth on the table: worked once, and kept until the sampler is changed. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { Sampler } from '@lemmata/core/sampler'
import { layExercises } from '@lemmata/core/sampler'
import { useEffect, useRef, useState } from 'react'
import { api } from '../api/client.ts'
import { paintScene } from '../cloth/scene.ts'
import { workElsewhere } from '../compute/workers.ts'
import { prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'

const pictures = new Map<string, HTMLCanvasElement>()
const MOST_PICTURES = 60
/** One sampler after another: each works every stitch it has. */
let queue: Promise<unknown> = Promise.resolve()

interface Props {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly heightPx: number
}

export function SamplerPicture({ id, name, revision, heightPx }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(box)
  const [failed, setFailed] = useState(false)
  const [drawn, setDrawn] = useState(false)
  useEffect(() => {
    const target = canvas.current
    if (!target || width === 0) return
    let dropped = false
    const key = `${id} ${revision} ${Math.round(width)} ${heightPx}`
    const show = (picture: HTMLCanvasElement): void => {
      const context = prepareCanvas(target, width, heightPx)
      context?.drawImage(picture, 0, 0, width, heightPx)
      setDrawn(true)
    }
    const known = pictures.get(key)
    if (known) {
      show(known)
      return
    }
    queue = queue.then(async () => {
      if (dropped) return
      try {
        const picture = await draw((await api.sampler(id)).document, width, heightPx)
        if (pictures.size >= MOST_PICTURES) pictures.delete(pictures.keys().next().value as string)
        pictures.set(key, picture)
        if (!dropped) show(picture)
      } catch {
        if (!dropped) setFailed(true)
      }
    })
    return () => {
      dropped = true
    }
  }, [id, revision, width, heightPx])
  return (
    <div ref={box} className="shelf-picture" style={{ height: heightPx }}>
      <canvas
        ref={canvas}
        role="img"
        aria-busy={!drawn && !failed}
        aria-label={failed ? `${name} could not be drawn` : `${name}, as its worked cloth`}
        style={{ width: '100%', height: heightPx }}
      />
    </div>
  )
}

async function draw(sampler: Sampler, width: number, height: number): Promise<HTMLCanvasElement> {
  const laid = layExercises(sampler).flatMap((one) => (one.ok ? [one.value] : []))
  const done = (await workElsewhere(laid, surroundingsOf(sampler))).flatMap((one) => (one.ok ? [one.value] : []))
  const canvas = document.createElement('canvas')
  const context = prepareCanvas(canvas, width, height)
  if (!context) return canvas
  const around = 14
  const scale = Math.min((width - 2 * around) / sampler.cloth.widthMm, (height - 2 * around) / sampler.cloth.heightMm)
  const view = { scale, x: (width - sampler.cloth.widthMm * scale) / 2, y: (height - sampler.cloth.heightMm * scale) / 2 }
  let until = performance.now() + 8
  for (const _ of paintScene(context, { sampler, done, side: 'front', worked: true, marks: false }, view, width, height)) {
    if (performance.now() < until) continue
    await new Promise(requestAnimationFrame)
    until = performance.now() + 8
  }
  return canvas
}
