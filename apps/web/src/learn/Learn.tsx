/** A learner's page: where she joins or comes back, her week, and the piece that she works. */
import { lazy, Suspense, useCallback, useEffect, useState } from 'react'
import { ExercisePage } from './ExercisePage.tsx'
import { JoinPage } from './JoinPage.tsx'
import { laterPages } from './later-pages.ts'
import { troubleInWords } from './trouble.ts'
import { type KeptInPage, useKept } from './use-kept.ts'
import { WeekPage } from './WeekPage.tsx'
import { languageOfDevice, SpokenIn, useWords, useWordsHere } from './words/index.ts'

// Loaded when it is first gone to, or when the page has nothing else to do.
const TrainerPage = lazy(() => laterPages.trainer().then((one) => ({ default: one.TrainerPage })))
const PhotoPage = lazy(() => laterPages.photo().then((one) => ({ default: one.PhotoPage })))
/** In the address, where a piece stands otherwise: no piece is called so. Before a piece: its row photographed. */
const TRAINER = '?'

/** `path`, `query`: of her address: `/learn/link`, `/learn?code=`. */
export function Learn(address: { readonly path: string; readonly query: string }) {
  const page = useKept()
  // Her course's, once it is here.
  const language = page.kept.week ? (page.kept.week.sampler.brief.language ?? 'en') : languageOfDevice()
  useEffect(() => {
    document.documentElement.lang = language
  }, [language])
  // Nothing for a moment, rather than one language and then another.
  if (!useWordsHere(language)) return null
  return (
    <SpokenIn value={language}>
      <Pages {...address} page={page} />
    </SpokenIn>
  )
}

function Pages({ path, query, page }: { readonly path: string; readonly query: string; readonly page: KeptInPage }) {
  const words = useWords()
  const { kept, trouble, joined } = page
  const link = /^\/learn\/([\w-]{20,64})$/.exec(path)?.[1] ?? null
  const [exercise, setExercise] = useExercise()
  const isHers = kept.key !== null && (link === null || link === kept.link)
  useEffect(() => {
    document.documentElement.classList.toggle('large-print', kept.large)
  }, [kept.large])
  if (!isHers) return <JoinPage code={new URLSearchParams(query).get('code') ?? ''} link={link ?? kept.link} trouble={trouble} onJoined={joined} />
  const { week } = kept
  if (!week) return <main className="learn-week quiet">{trouble ? troubleInWords(trouble, words) : words.onWay}</main>
  if (exercise !== null && week.sampler.exercises.some((one) => one.id === exercise))
    return <ExercisePage key={exercise} {...{ page, week, exercise }} onBack={() => setExercise(null)} onPhoto={() => setExercise(`${TRAINER}${exercise}`)} />
  if (exercise === TRAINER)
    return (
      <Suspense fallback={<main className="learn-week quiet">{words.moment}</main>}>
        <TrainerPage {...{ page, week }} onBack={() => setExercise(null)} />
      </Suspense>
    )
  if (exercise?.startsWith(TRAINER))
    return (
      <Suspense fallback={<main className="learn-week quiet">{words.moment}</main>}>
        <PhotoPage key={exercise} {...{ page, week }} exercise={exercise.slice(1)} onBack={() => setExercise(exercise.slice(1))} />
      </Suspense>
    )
  return <WeekPage page={page} week={week} onOpen={setExercise} onTrain={() => setExercise(TRAINER)} />
}

/** Which piece is open, in the address: the browser's own way back leads to the week. */
function useExercise(): readonly [string | null, (exercise: string | null) => void] {
  const read = (): string | null => decodeURIComponent(location.hash.slice(1)) || null
  const [exercise, setExercise] = useState(read)
  useEffect(() => {
    const onChange = (): void => setExercise(read())
    window.addEventListener('hashchange', onChange)
    return () => window.removeEventListener('hashchange', onChange)
  }, [])
  const set = useCallback((to: string | null): void => {
    location.hash = to === null ? '' : encodeURIComponent(to)
    setExercise(to)
  }, [])
  return [exercise, set]
}
