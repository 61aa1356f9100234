/** The order of a course as a mixed-integer program, the same in every term, for a general solver to compare with. */
import type { OrderProblem } from '@lemmata/core/order'

/** In the LP format that solvers read. */
export function orderProgram(problem: OrderProblem): string {
  const { count, atPlace, next, units, room, fullness, fresh, freshMore, returns, returnCost, earlier } = problem
  const items = Array.from({ length: count }, (_, index) => index)
  const places = items
  const objective: string[] = []
  const rows: string[] = []
  const binary: string[] = []
  const row = (terms: readonly string[], sign: string, value: number): void => void rows.push(`${terms.join(' ')} ${sign} ${value}`)
  const term = (factor: number, name: string): string => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`
  const x = (i: number, p: number): string => `x_${i}_${p}`
  for (const i of items)
    for (const p of places) {
      binary.push(x(i, p))
      objective.push(term(atPlace[i * count + p] as number, x(i, p)))
    }
  for (const i of items)
    row(
      places.map((p) => `+ ${x(i, p)}`),
      '=',
      1,
    )
  for (const p of places)
    row(
      items.map((i) => `+ ${x(i, p)}`),
      '=',
      1,
    )
  for (const i of items) for (const e of earlier[i] ?? []) row([...places.map((p) => term(p, x(i, p))), ...places.map((p) => term(-p, x(e, p)))], '>=', 1)
  for (const i of items)
    for (const j of items) {
      const cost = next[i * count + j] as number
      if (i === j || cost === 0) continue
      for (const p of places.slice(0, -1)) {
        const both = `z_${i}_${j}_${p}`
        objective.push(term(cost, both))
        row([`+ ${both}`, `- ${x(i, p)}`, `- ${x(j, p + 1)}`], '>=', -1)
      }
    }
  // Minutes and new motions that have come together in the lesson so far.
  const most = fresh.reduce((total, one) => total + one, 0)
  const newCost = freshMore[1] ?? 0
  for (const p of places) {
    const size = (factor: number): string[] => items.map((i) => term(factor * (units[i] as number), x(i, p)))
    const isNew = (factor: number): string[] => items.map((i) => term(factor * (fresh[i] as number), x(i, p)))
    binary.push(`c_${p}`)
    objective.push(term(problem.opening, `c_${p}`))
    row([`+ u_${p}`], '<=', room)
    row([`+ u_${p}`, ...size(-1)], '>=', 0)
    row([`+ n_${p}`, ...isNew(-1)], '>=', 0)
    if (p === 0) {
      row(['+ c_0'], '=', 1)
      row([`+ u_0`, ...size(-1)], '=', 0)
    } else {
      row([`+ u_${p}`, ...size(-1), `- u_${p - 1}`, `+ ${room} c_${p}`], '>=', 0)
      row([`+ u_${p}`, ...size(-1), `- u_${p - 1}`], '<=', 0)
      row([`+ u_${p}`, ...size(-1), `+ ${room} c_${p}`], '<=', room)
      row([`+ n_${p}`, ...isNew(-1), `- n_${p - 1}`, `+ ${most} c_${p}`], '>=', 0)
    }
    const closes = p + 1 < count ? `c_${p + 1}` : null
    const high = Math.max(...fullness) * 4
    objective.push(`+ f_${p}`, `+ g_${p}`)
    // Straight between whole fives, where alone it is asked.
    for (let u = 1; u < room; u += 1) {
      const slope = (fullness[u + 1] as number) - (fullness[u] as number)
      const at = (fullness[u] as number) - slope * u
      row([`+ f_${p}`, term(-slope, `u_${p}`), ...(closes ? [term(-high, closes)] : [])], '>=', at - (closes ? high : 0))
    }
    const highest = newCost * (most + 1)
    row([`+ g_${p}`, term(-newCost, `n_${p}`), ...(closes ? [term(-highest, closes)] : [])], '>=', -newCost - (closes ? highest : 0))
  }
  for (const i of items)
    for (const p of places) {
      const before = places.slice(0, p + 1).map((q) => `- c_${q}`)
      row([`+ l_${i}`, ...before, `- ${count} ${x(i, p)}`], '>=', -count)
      row([`+ l_${i}`, ...before, `+ ${count} ${x(i, p)}`], '<=', count)
    }
  for (const [m, having] of returns.entries()) {
    const first = having.find((i) => having.every((other) => other === i || problem.earlier[other]?.includes(i))) as number
    const others = having.filter((i) => i !== first)
    binary.push(`r_${m}`)
    objective.push(term(returnCost, `r_${m}`))
    for (const o of others) {
      const s = `s_${m}_${o}`
      binary.push(s)
      row([`+ l_${o}`, `- l_${first}`, `- ${count + 2} ${s}`], '>=', -count)
      row([`+ l_${o}`, `- l_${first}`, `+ ${count} ${s}`], '<=', 4 + count)
    }
    row([`+ r_${m}`, ...others.map((o) => `+ s_${m}_${o}`)], '>=', 1)
  }
  return `Minimize\n obj: ${objective.join('\n ')}\nSubject To\n${rows.map((one, index) => ` r${index}: ${one}`).join('\n')}\nBinary\n ${binary.join('\n ')}\nEnd\n`
}
