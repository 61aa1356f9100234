/** The cloth, its hoop and the threads as they are chosen, drawn while one chooses. */
import { outerOf } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { useEffect, useRef } from 'react'
import { paintScene } from '../cloth/scene.ts'
import { prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'
import { Spool } from '../thread/fields.tsx'

const HOOP_WORDS = { round: 'a round hoop', oval: 'an oval hoop', frame: 'a frame' } as const

const HEIGHT_PX = 230

export function ClothPicture({ sampler }: { sampler: Sampler }) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  const { cloth, workingHoop, threads } = sampler
  useEffect(() => {
    const context = ref.current && width > 0 ? prepareCanvas(ref.current, width, HEIGHT_PX) : null
    if (!context) return
    const scale = Math.min((width - 24) / cloth.widthMm, (HEIGHT_PX - 20) / cloth.heightMm)
    const view = { scale, x: (width - cloth.widthMm * scale) / 2, y: (HEIGHT_PX - cloth.heightMm * scale) / 2 }
    const scene = { sampler: { cloth, ...(workingHoop ? { workingHoop } : {}) }, done: [], side: 'front', worked: false, marks: false } as const
    for (const _ of paintScene(context, scene, view, width, HEIGHT_PX));
  }, [cloth, workingHoop, width])
  return (
    <figure className="cloth-picture">
      <canvas
        ref={ref}
        role="img"
        aria-label={`${cloth.colour.name}, ${cloth.widthMm} by ${cloth.heightMm} mm${workingHoop ? `, in ${HOOP_WORDS[workingHoop.shape]} of ${outerOf(workingHoop).join(' by ')} mm` : ', without a hoop'}`}
        style={{ height: HEIGHT_PX }}
      />
      <figcaption>
        {threads.map((thread) => (
          <span key={thread.id} title={thread.colour.name}>
            <Spool hex={thread.colour.hex} />
          </span>
        ))}
      </figcaption>
    </figure>
  )
}
