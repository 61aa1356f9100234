/** The lesson sheets: seen here as they print, page by page, and made as PDF by the server. */
import { workForLearner } from '@lemmata/core/exercise'
import { makeSheets, type PageSize, sheetTitle } from '@lemmata/core/sheets'
import type { BookForm } from '@lemmata/core/book'
import { Button, Segmented, Select } from 'antd'
import { useCallback, useMemo, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { useScreenScale } from '../drawing/screen-scale.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { printed } from '../store/sampler.ts'
import { BookPages } from './BookPages.tsx'
import { LearnerPanel } from './LearnerPanel.tsx'
import { MakePdf } from './MakePdf.tsx'
import { measure } from './measure.ts'
import { PageCanvas } from './PageCanvas.tsx'
import { addressOf, type Paper, PAPERS_BY_NAME, USUAL_PRINT, type Wanted } from './papers.ts'
import { PrintPanel } from './PrintPanel.tsx'
import { SlipPanel } from './SlipPanel.tsx'
import { useBar } from './use-bar.ts'
import { usePaper } from './use-paper.ts'
import { useClass } from './use-class.ts'

type Hand = 'right' | 'left'

export function SheetsStage() {
  const sampler = useSampler()
  const open = useAppSelector((state) => state.sampler.open)
  const dispatch = useAppDispatch()
  const { done, busy, complete } = useWorked()
  const [page, setPage] = usePaper()
  const [classHand, setClassHand] = useState<Hand>('right')
  const [paper, setPaper] = useState<Paper>('sheet')
  const [settings, setSettings] = useState(USUAL_PRINT)
  const [since, setSince] = useState<string>()
  const [form, setForm] = useState<BookForm | 'fitting'>('fitting')
  const [bar, setBar] = useBar()
  const [lesson, setLesson] = useState('')
  const [whose, setWhose] = useState('')
  const [look, setLook] = useState<Look>('two')
  const [screenScale] = useScreenScale()
  const pxPerMm = look === 'two' ? TWO_PX_PER_MM : look === 'read' ? READ_PX_PER_MM : screenScale
  const group = useClass(open?.id ?? '')
  const onMade = useCallback(() => void dispatch(printed()), [dispatch])
  const learner = group.open?.document.learners.find((one) => one.id === whose)
  const isBook = paper !== 'sheet'
  const chosen = isBook ? undefined : sampler.lessons.find((one) => one.id === lesson)
  const hand = learner ? (learner.hand ?? 'right') : classHand
  const ofLesson = useMemo(() => done.filter((one) => !chosen || chosen.exercises.includes(one.exercise.id)), [done, chosen])
  const own = useMemo(() => (learner ? workForLearner(sampler, learner, ofLesson) : { exercises: ofLesson, problems: [] }), [sampler, learner, ofLesson])
  const pages = useMemo(
    () =>
      own.exercises.length === 0 || isBook
        ? []
        : makeSheets({
            ...{ sampler, exercises: own.exercises, title: sheetTitle(chosen, learner, sampler.brief.language), page, hand, measure },
            ...{ patternPage: settings.pattern ?? undefined, barMm: bar },
          }).map((one) => ({ widthMm: one.widthMm, heightMm: one.heightMm, draw: () => one })),
    [isBook, sampler, own, chosen, learner, page, hand, bar, settings.pattern],
  )
  const wanted: Wanted = {
    ...{ paper, page, hand, settings, barMm: bar, learner: paper === 'teacher' || paper === 'cards' ? undefined : learner, since },
    ...{ form: form === 'fitting' ? undefined : form, lesson: chosen?.id, group: group.open?.id },
  }
  const id = open?.id ?? ''
  const hasBook = complete && sampler.lessons.some((one) => own.exercises.some((done) => one.exercises.includes(done.exercise.id)))
  const canPrint = paper === 'sheet' ? pages.length > 0 : hasBook && (paper !== 'slip' || since !== undefined)
  const saved = open?.status === 'saved' && (!learner || group.open?.status === 'saved')
  return (
    <div className="stage-frame">
      <h1 className="visually-hidden">Sheets</h1>
      <div className="toolbar">
        <Select<Paper> aria-label="What is printed" style={{ width: 160 }} value={paper} onChange={setPaper} options={[...PAPERS_BY_NAME]} />
        <Segmented<PageSize>
          aria-label="Paper"
          value={page}
          onChange={setPage}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
        />
        {!learner && (
          <Segmented<Hand>
            aria-label="Hand"
            value={hand}
            onChange={setClassHand}
            options={[
              { value: 'left', label: 'Left hand' },
              { value: 'right', label: 'Right hand' },
            ]}
          />
        )}
        {paper === 'learner' && (
          <Select
            aria-label="How it is set"
            style={{ width: 170 }}
            value={form}
            onChange={setForm}
            options={[
              { value: 'fitting', label: 'As its length asks' },
              { value: 'roomy', label: 'Roomy' },
              { value: 'compact', label: 'Compact' },
              { value: 'large', label: 'Large print' },
            ]}
          />
        )}
        {paper === 'sheet' && (
          <Select
            aria-label="Lesson"
            style={{ width: 170 }}
            value={lesson}
            onChange={setLesson}
            options={[{ value: '', label: 'The whole sampler' }, ...sampler.lessons.map((one) => ({ value: one.id, label: one.title }))]}
          />
        )}
        {group.classes.length > 1 && (
          <Select
            aria-label="Class"
            style={{ width: 130 }}
            value={group.open?.id ?? null}
            onChange={group.choose}
            options={group.classes.map((one) => ({ value: one.id, label: one.name }))}
          />
        )}
        <Select
          aria-label="For whom"
          style={{ width: 130 }}
          value={learner ? whose : ''}
          onChange={setWhose}
          options={[
            { value: '', label: 'For the class' },
            ...(group.open?.document.learners ?? []).map((one) => ({ value: one.id, label: `For ${one.name}` })),
          ]}
        />
        <Button onClick={() => void group.addLearner().then((id) => id !== null && setWhose(id))}>Add a learner</Button>
        <span className="grow" />
        {!saved && <span className="quiet">Saving first …</span>}
        <MakePdf address={addressOf(id, wanted)} revision={open?.revision ?? 0} disabled={!saved || !canPrint} onMade={onMade} />
      </div>
      <div className="stage-scroll sheet-table">
        <div className="sheet-note">
          <PrintPanel {...{ paper, settings, bar, setBar }} onChange={setSettings} webPage={saved && hasBook ? addressOf(id, wanted, 'html') : null} />
          <Segmented<Look>
            aria-label="The pages are shown"
            value={look}
            onChange={setLook}
            options={[
              { value: 'two', label: 'two beside' },
              { value: 'read', label: 'to read' },
              { value: 'true', label: 'true size' },
            ]}
          />
        </div>
        {learner && !isBook && <LearnerPanel sampler={sampler} learner={learner} done={ofLesson} onRemoved={() => setWhose('')} />}
        {own.problems.map((problem) => (
          <ProblemLine key={problem.code + problem.path.join()} problem={problem} />
        ))}
        {paper === 'slip' ? (
          <SlipPanel sampler={id} since={since} onChange={setSince} />
        ) : isBook ? (
          hasBook ? (
            <BookPages
              wanted={{
                ...{ kind: paper, sampler, done: own.exercises, group: group.open?.document, learner: wanted.learner, hand, page, barMm: bar },
                ...{ form: wanted.form, ink: settings.ink, patternPage: settings.pattern ?? undefined, version: open?.revision ?? 0 },
              }}
              pxPerMm={pxPerMm}
            />
          ) : (
            <p className="quiet">{complete ? 'No lesson holds an exercise yet: put some into lessons under Order.' : 'Working the stitches …'}</p>
          )
        ) : pages.length === 0 ? (
          <p className="quiet">{busy ? 'Working the stitches …' : 'There is nothing to print yet. Choose a stitch first.'}</p>
        ) : (
          <div className="sheet-pages" data-testid="sheet-pages">
            {pages.map((one, index) => (
              <PageCanvas
                key={`${page} ${index}`}
                {...{ widthMm: one.widthMm, heightMm: one.heightMm, draw: one.draw, pxPerMm }}
                label={`Page ${index + 1} of ${pages.length}`}
              />
            ))}
          </div>
        )}
      </div>
    </div>
  )
}

type Look = 'two' | 'read' | 'true'
const TWO_PX_PER_MM = 2.1
const READ_PX_PER_MM = 4.4
