/** The lesson sheets: seen here as they print, page by page, and made as PDF by the server. */
import { workForLearner } from '@lemmata/core/exercise'
import { BAR_RANGE, CHECK_BAR_MM, makeSheets, type PageSize, sheetTitle } from '@lemmata/core/sheets'
import type { BookForm } from '@lemmata/core/book'
import { Button, InputNumber, Segmented, Select } from 'antd'
import { useMemo, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { useScreenScale } from '../drawing/screen-scale.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { printed } from '../store/sampler.ts'
import { BookPages } from './BookPages.tsx'
import { LearnerPanel } from './LearnerPanel.tsx'
import { measure } from './measure.ts'
import { PageCanvas } from './PageCanvas.tsx'
import { useBar } from './use-bar.ts'
import { useClass } from './use-class.ts'

type Hand = 'right' | 'left'

export function SheetsStage() {
  const sampler = useSampler()
  const open = useAppSelector((state) => state.sampler.open)
  const dispatch = useAppDispatch()
  const { done, busy, complete } = useWorked()
  const [page, setPage] = useState<PageSize>('a4')
  const [classHand, setClassHand] = useState<Hand>('right')
  const [paper, setPaper] = useState<'sheet' | 'book'>('sheet')
  const [form, setForm] = useState<BookForm | 'fitting'>('fitting')
  const [bar, setBar] = useBar()
  const [lesson, setLesson] = useState('')
  const [whose, setWhose] = useState('')
  const [look, setLook] = useState<Look>('two')
  const [screenScale] = useScreenScale()
  const pxPerMm = look === 'two' ? TWO_PX_PER_MM : look === 'read' ? READ_PX_PER_MM : screenScale
  const group = useClass(open?.id ?? '')
  const learner = group.open?.document.learners.find((one) => one.id === whose)
  const isBook = paper === 'book'
  const chosen = isBook ? undefined : sampler.lessons.find((one) => one.id === lesson)
  const hand = learner ? (learner.hand ?? 'right') : classHand
  const ofLesson = useMemo(() => done.filter((one) => !chosen || chosen.exercises.includes(one.exercise.id)), [done, chosen])
  const own = useMemo(() => (learner ? workForLearner(sampler, learner, ofLesson) : { exercises: ofLesson, problems: [] }), [sampler, learner, ofLesson])
  const pages = useMemo(
    () =>
      own.exercises.length === 0 || paper === 'book'
        ? []
        : makeSheets({ sampler, exercises: own.exercises, title: sheetTitle(chosen, learner, sampler.brief.language), page, hand, measure, barMm: bar }).map(
            (one) => ({
              ...{ widthMm: one.widthMm, heightMm: one.heightMm, draw: () => one },
            }),
          ),
    [paper, sampler, own, chosen, learner, page, hand, bar],
  )
  const asked = new URLSearchParams({
    page,
    hand,
    ...(bar === CHECK_BAR_MM ? {} : { bar: String(bar) }),
    ...(chosen ? { lesson: chosen.id } : {}),
    ...(group.open && learner ? { class: group.open.id, learner: learner.id } : {}),
  })
  const bookAsked = new URLSearchParams({
    page,
    hand,
    ...(bar === CHECK_BAR_MM ? {} : { bar: String(bar) }),
    ...(form === 'fitting' ? {} : { form }),
    ...(group.open ? { class: group.open.id } : {}),
    ...(group.open && learner ? { learner: learner.id } : {}),
  })
  const address = `/api/samplers/${open?.id ?? ''}/${isBook ? `book.pdf?${bookAsked.toString()}` : `sheet.pdf?${asked.toString()}`}`
  const hasBook = complete && sampler.lessons.some((one) => own.exercises.some((done) => one.exercises.includes(done.exercise.id)))
  const saved = open?.status === 'saved' && (!learner || group.open?.status === 'saved')
  return (
    <div className="stage-frame">
      <h1 className="visually-hidden">Sheets</h1>
      <div className="toolbar">
        <Segmented<'sheet' | 'book'>
          aria-label="What is printed"
          value={paper}
          onChange={setPaper}
          options={[
            { value: 'sheet', label: 'Lesson sheet' },
            { value: 'book', label: 'Learner’s book' },
          ]}
        />
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
        {isBook ? (
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
        ) : (
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
        <Button type="primary" href={address} target="_blank" disabled={!saved || (isBook ? !hasBook : pages.length === 0)} onClick={() => dispatch(printed())}>
          Make the PDF
        </Button>
      </div>
      <div className="stage-scroll sheet-table">
        <div className="sheet-note">
          <span>
            Printed at 100 %, every mark lies where it belongs: the check bar and square on each {isBook ? 'pattern sheet' : 'page'} prove it. Mine measured{' '}
            <InputNumber
              aria-label="The bar of 50 mm measured, mm"
              size="small"
              min={BAR_RANGE[0]}
              max={BAR_RANGE[1]}
              step={0.1}
              precision={1}
              value={bar}
              onChange={(mm) => mm !== null && setBar(mm)}
              style={{ width: 74 }}
            />{' '}
            mm{bar === CHECK_BAR_MM ? '.' : ': the pattern is drawn so that this printer prints it true.'}
          </span>
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
        {isBook ? (
          hasBook ? (
            <BookPages
              wanted={{
                ...{ sampler, done: own.exercises, calendar: group.open?.document.calendar, learner, hand, page, barMm: bar },
                ...{ form: form === 'fitting' ? undefined : form, version: open?.revision ?? 0 },
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
