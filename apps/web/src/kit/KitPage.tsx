/** The class's kit at the cutting table: one colour at a time, ticked kit by kit; cloth, needles, bags, and what is bought. */
import { againstStores, type Kit, planKit, toolsFor } from '@lemmata/core/kit'
import type { Sampler } from '@lemmata/core/sampler'
import type { Stores } from '@lemmata/core/stores'
import { counted } from '@lemmata/core/units'
import { Button, Segmented } from 'antd'
import { useCallback, useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { useAppSelector } from '../store/index.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { downloadText } from '../stitches/download.ts'
import { useStores } from '../stores/use-stores.ts'
import { BuyTable } from './BuyTable.tsx'
import { ClothToCut } from './ClothToCut.tsx'
import { EarlierPlan } from './EarlierPlan.tsx'
import { shoppingCsv } from './kit-csv.ts'
import { Labels } from './Labels.tsx'
import { LessonTables } from './LessonTables.tsx'
import { NeedlesAndTools } from './NeedlesAndTools.tsx'
import { OwnBags } from './OwnBags.tsx'
import { PackTable } from './PackTable.tsx'
import { ThreadToCut } from './ThreadToCut.tsx'
import { alreadyTaken, bagTicks, clothTick, nameOfTick, partsOfTick, threadTicks } from './ticks.ts'
import { type TickList, useTicks } from './use-ticks.ts'

const VIEWS = ['Thread', 'Cloth', 'Needles and tools', 'Lessons', 'Pack', 'Labels', 'Buy'] as const
type View = (typeof VIEWS)[number]

/** Whoever goes from box to box by key ticks the box where she is; after a click the bar ticks the next. */
const BY_KEY = {
  preventDefault: true,
  enableOnFormTags: true,
  ignoreEventWhen: ({ target }: KeyboardEvent) => target instanceof HTMLButtonElement && target.matches(':focus-visible'),
}

export function KitPage() {
  const sampler = useSampler()
  const { done, complete } = useWorked()
  const id = useAppSelector((state) => state.sampler.open?.id ?? '')
  const { open, failed } = useStores()
  const stores = open?.document ?? null
  const kit = useMemo(() => (complete ? planKit(sampler, done) : null), [complete, sampler, done])
  return (
    <div className="stage-frame kit">
      <h1 className="visually-hidden">Kit and cut list</h1>
      {kit === null ? (
        <p className="quiet stage-empty">Counting the thread …</p>
      ) : sampler.exercises.length === 0 ? (
        <p className="quiet stage-empty">No exercise yet: there is nothing to cut. Choose a stitch first.</p>
      ) : stores === null ? (
        <p className={failed === null ? 'quiet stage-empty' : 'wrong stage-empty'}>{failed ?? 'Looking into the stores …'}</p>
      ) : (
        <Kits id={id} sampler={sampler} kit={kit} stores={stores} />
      )}
    </div>
  )
}

interface KitsProps {
  readonly id: string
  readonly sampler: Sampler
  readonly kit: Kit
  readonly stores: Stores
}

function Kits({ id, sampler, kit, stores }: KitsProps) {
  const { done } = useWorked()
  const [view, setView] = useState<View>('Thread')
  const tools = useMemo(() => toolsFor(done, kit.stiletto), [done, kit.stiletto])
  const threads = useMemo(() => threadTicks(kit), [kit])
  const bags = useMemo(() => bagTicks(kit), [kit])
  const all = useMemo(() => [...threads, ...bags, clothTick(kit)], [threads, bags, kit])
  const partsOf = useCallback((tick: string, now: Stores) => partsOfTick(sampler, kit, tick, now), [sampler, kit])
  const ticks = useTicks(id, all, stores, partsOf)
  const against = useMemo(() => againstStores(sampler, kit, tools, stores, alreadyTaken(kit, ticks.has)), [sampler, kit, tools, stores, ticks])
  const ofView = view === 'Pack' ? bags : threads
  const next = ofView.find((one) => !ticks.has(one)) ?? null
  const isTicked = view === 'Thread' || view === 'Pack'
  useHotkeys('space', () => next !== null && ticks.toggle(next), { ...BY_KEY, enabled: isTicked }, [next, ticks, isTicked])
  useHotkeys('z', () => ticks.takeBack(), { ...BY_KEY, enabled: isTicked }, [ticks, isTicked])
  return (
    <>
      <div className="toolbar">
        <Link to="../thread" className="link-button">
          ‹ Thread
        </Link>
        <span className="kit-for">
          <strong>Kit and cut list</strong>
          <span className="quiet">{kitsInWords(kit)}</span>
        </span>
        <Segmented aria-label="What is shown" value={view} onChange={setView} options={[...VIEWS]} />
        <span className="toolbar-end">
          <Button onClick={() => downloadText(`what to buy, ${sampler.name}.csv`, shoppingCsv(against.lines), 'text/csv')}>Buy list as CSV</Button>
          <Button onClick={() => window.print()}>Print</Button>
        </span>
      </div>
      <EarlierPlan sampler={id} stores={stores} earlier={ticks.earlier} all={all.every(ticks.has)} />
      <div className="stage-scroll kit-view" tabIndex={0} role="region" aria-label={view}>
        <p className="kit-paper-title">
          {sampler.name}: {kitsInWords(kit)}
        </p>
        {view === 'Thread' && <ThreadToCut kit={kit} ticks={ticks} next={next} stores={stores} brief={sampler.brief} />}
        {view === 'Cloth' && <ClothToCut sampler={sampler} kit={kit} ticks={ticks} />}
        {view === 'Needles and tools' && <NeedlesAndTools sampler={sampler} kit={kit} tools={tools} />}
        {view === 'Pack' && <PackTable sampler={sampler} kit={kit} ticks={ticks} next={next} />}
        {(view === 'Thread' || view === 'Pack') && <OwnBags sampler={sampler} />}
        {view === 'Lessons' && <LessonTables sampler={sampler} done={done} />}
        {view === 'Labels' && <Labels sampler={sampler} kit={kit} done={done} />}
        {view === 'Buy' && <BuyTable against={against} currency={stores.currency} units={sampler.units} />}
      </div>
      {isTicked && <Foot kit={kit} ticks={ticks} all={ofView} next={next} />}
    </>
  )
}

function kitsInWords({ learners, spares, kits, leftHanded }: Kit): string {
  const left = leftHanded > 0 ? `, ${leftHanded} left-handed` : ''
  return `${counted(learners, 'learner')}${left}${spares > 0 ? ` and ${counted(spares, 'spare')}` : ''}: ${counted(kits, 'kit')}`
}

interface FootProps {
  readonly kit: Kit
  readonly ticks: TickList
  readonly all: readonly string[]
  readonly next: string | null
}

function Foot({ kit, ticks, all, next }: FootProps) {
  const made = all.filter(ticks.has).length
  const said = next === null ? 'All of it is done.' : `${nameOfTick(kit, next)} is next.`
  return (
    <div className="kit-foot">
      <p aria-live="polite">
        <strong>
          {made} of {all.length} done.
        </strong>{' '}
        {said}
      </p>
      <Button size="large" disabled={ticks.last === null} onClick={ticks.takeBack}>
        Undo the last tick
      </Button>
      <Button size="large" type="primary" disabled={next === null} onClick={() => next !== null && ticks.toggle(next)}>
        {next === null ? 'Done' : `${nameOfTick(kit, next)}: done`}
      </Button>
    </div>
  )
}
