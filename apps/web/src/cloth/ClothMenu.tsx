/** What concerns the cloth as a whole: with what it is marked, how it is prepared, how all lies on it, another size. */
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { Button, Dropdown } from 'antd'
import { lazy, Suspense, useState } from 'react'

// Sent for when they are opened: the cloth is seen sooner.
const LayoutDialog = lazy(() => import('./LayoutDialog.tsx').then((file) => ({ default: file.LayoutDialog })))
const MarkingDialog = lazy(() => import('./MarkingDialog.tsx').then((file) => ({ default: file.MarkingDialog })))
const PrepareDialog = lazy(() => import('./PrepareDialog.tsx').then((file) => ({ default: file.PrepareDialog })))
const SizeDialog = lazy(() => import('./SizeDialog.tsx').then((file) => ({ default: file.SizeDialog })))
const UnderlayDialog = lazy(() => import('./UnderlayDialog.tsx').then((file) => ({ default: file.UnderlayDialog })))

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
}

type Shown = 'marking' | 'prepare' | 'size' | 'layout' | 'picture'

export function ClothMenu({ sampler, done, results }: Props) {
  const [shown, setShown] = useState<Shown | null>(null)
  const close = (): void => setShown(null)
  const item = (key: Shown, label: string, disabled = false) => ({ key, label, disabled, onClick: () => setShown(key) })
  return (
    <>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            item('prepare', 'Prepare and cut it …'),
            item('marking', 'Mark it: with what …'),
            item('picture', 'A picture to draw over …'),
            item('layout', 'Arrange all …', sampler.exercises.length < 2),
            item('size', 'Take it to another size …', sampler.drawing.guides.length === 0),
          ],
        }}
      >
        <Button>The cloth ▾</Button>
      </Dropdown>
      <Suspense fallback={null}>
        {shown === 'marking' && <MarkingDialog sampler={sampler} done={done} onClose={close} />}
        {shown === 'prepare' && <PrepareDialog sampler={sampler} done={done} onClose={close} />}
        {shown === 'picture' && <UnderlayDialog sampler={sampler} onClose={close} />}
        {shown === 'layout' && <LayoutDialog sampler={sampler} done={done} onClose={close} />}
        {shown === 'size' && <SizeDialog sampler={sampler} done={done} results={results} onClose={close} />}
      </Suspense>
    </>
  )
}
