import { weatherDiary, sixThursdays } from './packages/contract/src/demo/index.ts'
import { readSampler } from './packages/contract/src/documents/read.ts'
import { workSampler } from './packages/core/src/exercise/index.ts'
import { reachOutside } from './packages/core/src/drawing/index.ts'
import { brokenRules, courseOf, courseSettings, costOf, describePlan, findOrder, planOf, byDifficulty, filledLessons, findGaps } from './packages/core/src/plan/index.ts'
for (const given of [sixThursdays('2026-11-23'), weatherDiary()]) {
  const read = readSampler(JSON.parse(JSON.stringify(given)))
  if (!read.ok) { console.log(read.problems); continue }
  const s = read.value
  const done = [...workSampler(s).entries()].flatMap(([id, r]) => { if (!r.ok) { console.log(id, r.problems); return [] } for (const p of r.value.problems) console.log('  ', id, r.value.exercise.name, p.message); if (reachOutside(r.value, s) > 0.05) console.log('   outside', id, reachOutside(r.value, s)); return [r.value] })
  const course = courseOf(done); const settings = courseSettings(s)
  const plan = planOf(s, course, settings)
  for (const b of brokenRules(course, plan, settings)) console.log('broken', b.sentence, '->', b.repair.sentence)
  const t = performance.now(); const a = findOrder(course, settings); const ms = performance.now() - t
  console.log('mine', costOf(plan, course, settings)); console.log('sorted', costOf({ lessons: filledLessons(byDifficulty(course), settings) }, course, settings))
  if (a.found) { console.log('found', ms.toFixed(0), a.cost, a.bound, a.optimal); for (const st of describePlan(course, a.plan, settings).steps) console.log(st.lesson + 1, course.find(c => c.id === st.id)!.name, st.difficulty.toFixed(0), course.find(c => c.id === st.id)!.minutes.toFixed(0), st.why) } else console.log(a.conflict.sentence)
  console.log(findGaps(describePlan(course, plan, settings)))
}
