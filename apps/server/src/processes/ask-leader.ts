/** A process that is led asks its leader, and hears the answers in whatever order they come. */
import cluster from 'node:cluster'
import { HttpProblem } from '../http/problem.ts'
import type { FromLeader, Refusal, ToLeader } from './messages.ts'

type Question = ToLeader extends infer One ? (One extends ToLeader ? Omit<One, 'id'> : never) : never
type Heard = (answer: FromLeader) => void

export const isLed = (): boolean => cluster.isWorker

let last = 0
const asked = new Map<number, Heard>()

/** `heard`: every answer, until one is the last. Answers with what sends more about the same question. */
export function askLeader(question: Question, heard: Heard): (more: Question['kind']) => void {
  if (asked.size === 0 && last === 0) process.on('message', hear)
  last += 1
  const id = last
  asked.set(id, heard)
  process.send?.({ ...question, id })
  return (kind) => process.send?.({ kind, id })
}

function hear(answer: FromLeader): void {
  const heard = asked.get(answer.id)
  if (!heard) return
  if (answer.kind !== 'share') asked.delete(answer.id)
  heard(answer)
}

export const refusalOf = (thrown: unknown): Refusal =>
  thrown instanceof HttpProblem
    ? { message: thrown.message, known: { status: thrown.status, code: thrown.code, more: thrown.more, problems: thrown.problems } }
    : { message: thrown instanceof Error ? thrown.message : String(thrown), known: null }

export const thrownOf = ({ message, known }: Refusal): Error =>
  known ? new HttpProblem(known.status, known.code, message, known.more, known.problems) : new Error(message)
