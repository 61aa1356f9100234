import { findOrder } from './packages/core/src/plan/find-order.ts'
import { costOf } from './packages/core/src/plan/cost.ts'
import { courseOf, byDifficulty, type CourseItem } from './packages/core/src/plan/course.ts'
import { USUAL_WISHES } from './packages/core/src/plan/wishes.ts'
import { workExercise } from './packages/core/src/exercise/index.ts'
import { practiceFor, practiceGuide } from './packages/core/src/guide/index.ts'
import { surroundingsOf } from './packages/core/src/assign/index.ts'
import { newSampler } from './packages/core/src/sampler/index.ts'
import { LIBRARY } from './packages/core/src/stitches/index.ts'
import { writeFileSync, existsSync, readFileSync } from 'node:fs'
if (!existsSync('/tmp/items.json')) {
  const around = surroundingsOf(newSampler('L'))
  const done = LIBRARY.flatMap((document, i) => { const r = workExercise({ id: document.id, name: document.name, stitch: document.id, guide: practiceGuide(document.practice ?? practiceFor(document), 40 + 200 * i, 20, 60) }, around); return r.ok ? [r.value] : [] })
  writeFileSync('/tmp/items.json', JSON.stringify(courseOf(done)))
}
const all = JSON.parse(readFileSync('/tmp/items.json', 'utf8')) as CourseItem[]
function rnd(seed: number) { let s = seed; return () => (s = (s * 48271) % 2147483647) / 2147483647 }
const n = Number(process.argv[2] ?? 10)
for (let seed = 1; seed <= Number(process.argv[3] ?? 3); seed++) {
  const r = rnd(seed * 7919)
  const pool = [...all].sort(() => 0); const items: CourseItem[] = []
  for (let i = 0; i < n; i++) { const it = pool[Math.floor(r() * pool.length)]!; items.push({ ...it, id: `e${String(i).padStart(3, '0')}`, difficulty: it.difficulty + (r() - 0.5) * 6, minutes: Math.min(80, it.minutes * (0.6 + r())) }) }
  const settings = { lessonMinutes: 90, lessons: null, lessonIds: [], wishes: USUAL_WISHES }
  const t = performance.now()
  const a = findOrder(items, settings)
  const ms = performance.now() - t
  if (!a.found) { console.log('none'); continue }
  const c = a.cost
  console.log(n, seed, `${ms.toFixed(0)} ms steps ${a.steps} cost ${c.total.toFixed(2)} bound ${a.bound.toFixed(2)} gap ${(100 * (1 - a.bound / c.total)).toFixed(1)}% ${a.optimal} lessons ${a.plan.lessons.length} | ev ${c.evenness.toFixed(1)} nov ${c.novelty.toFixed(1)} ret ${c.return} var ${c.variety} min ${c.minutes.toFixed(1)}`)
}
