/** Requests to the server: one place for the token, for errors as sentences, and for a lost connection. */
import type {
  CalendarAddress,
  ClassAnswer,
  ClassSummary,
  ErrorAnswer,
  LearningAnswer,
  MarkedEvent,
  PictureAnswer,
  RoomAnswer,
  RulerCheckGiven,
  RulerCheckKept,
  SamplerAnswer,
  SamplerSummary,
  SentOperation,
  SentAnswer,
  SessionAnswer,
  SessionSeen,
  BroughtBack,
  Happened,
  StoresAnswer,
  VersionAnswer,
  VersionSummary,
  WrittenAnswer,
} from '@lemmata/contract'
import type { ClassOperation } from '@lemmata/core/classes'
import type { StitchDocument } from '@lemmata/core/notation'
import type { StoresOperation } from '@lemmata/core/stores'

export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly body: unknown,
  ) {
    super(message)
  }
}

/** The server did not answer at all. */
export class ConnectionLost extends Error {
  constructor() {
    super('The server does not answer. What you changed is kept in this page and sent when it is back.')
  }
}

let csrf = ''

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const response = await ask(method, path, body)
  return response.status === 204 ? (undefined as T) : ((await response.json().catch(() => null)) as T)
}

/** The answer where it is one; what else came of it is thrown. */
async function ask(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  // A file goes as it is; everything else as JSON.
  const sent = body === undefined ? null : body instanceof Blob ? { type: body.type, body } : { type: 'application/json', body: JSON.stringify(body) }
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: { ...(sent ? { 'content-type': sent.type } : {}), ...(method === 'GET' ? {} : { 'x-csrf-token': csrf }) },
      ...(sent ? { body: sent.body } : {}),
      ...(signal ? { signal } : {}),
    })
  } catch {
    throw new ConnectionLost()
  }
  if (response.ok) return response
  const answer: unknown = await response.json().catch(() => null)
  const { error } = (answer ?? {}) as Partial<ErrorAnswer>
  // A gateway or a server that is starting says nothing of ours.
  if (!error && response.status >= 500) throw new ConnectionLost()
  throw new ApiError(response.status, error?.code ?? 'unknown', error?.message ?? 'The server answered something unexpected. Try again.', answer)
}

function keepToken(answer: SessionAnswer): SessionAnswer {
  csrf = answer.csrf
  return answer
}

export const api = {
  session: () => call<SessionAnswer>('GET', '/session').then(keepToken),
  signIn: (email: string, password: string) => call<SessionAnswer>('POST', '/session', { email, password }).then(keepToken),
  makeAccount: (given: { email: string; name: string; password: string }) =>
    call<SessionAnswer | SentAnswer>('POST', '/accounts', given).then((answer) => ('sent' in answer ? answer : keepToken(answer))),
  openAccount: (token: string) => call<SessionAnswer>('POST', '/accounts/by-message', { token }).then(keepToken),
  signOut: () => call<void>('DELETE', '/session'),
  changePassword: (current: string, next: string) => call<void>('PUT', '/account/password', { current, next }),
  forgottenPassword: (email: string) => call<void>('POST', '/account/forgotten', { email }),
  newPassword: (token: string, next: string) => call<void>('POST', '/account/new-password', { token, next }),
  bringBack: (archive: unknown) => call<BroughtBack>('POST', '/account/everything', archive),
  happened: () => call<{ readonly happened: readonly Happened[] }>('GET', '/account/trail'),
  room: () => call<RoomAnswer>('GET', '/account/room'),
  sessions: () => call<{ readonly sessions: readonly SessionSeen[] }>('GET', '/account/sessions'),
  signOutElsewhere: () => call<void>('DELETE', '/account/sessions'),
  everything: () => call<unknown>('GET', '/account/everything'),
  deleteAccount: (password: string) => call<void>('DELETE', '/account', { password }),
  ownStitches: () => call<StitchDocument[]>('GET', '/stitches'),
  putOwnStitch: (stitch: StitchDocument) => call<void>('PUT', `/stitches/${stitch.id}`, stitch),
  removeOwnStitch: (id: string) => call<void>('DELETE', `/stitches/${id}`),
  samplers: () => call<SamplerSummary[]>('GET', '/samplers'),
  sampler: (id: string) => call<SamplerAnswer>('GET', `/samplers/${id}`),
  makeSampler: (given: { name: string } | { document: unknown }) => call<SamplerAnswer>('POST', '/samplers', given),
  copySampler: (id: string, forNextClass: boolean) => call<SamplerAnswer>('POST', `/samplers/${id}/copy`, { forNextClass }),
  sendPicture: (file: Blob) => call<PictureAnswer>('POST', '/pictures', file),
  versions: (id: string) => call<VersionSummary[]>('GET', `/samplers/${id}/versions`),
  version: (id: string, version: string) => call<VersionAnswer>('GET', `/samplers/${id}/versions/${version}`),
  keepVersion: (id: string, name: string) => call<VersionSummary>('POST', `/samplers/${id}/versions`, { name }),
  dropVersion: (id: string, version: string) => call<void>('DELETE', `/samplers/${id}/versions/${version}`),
  removeSampler: (id: string) => call<void>('DELETE', `/samplers/${id}`),
  restoreSampler: (id: string) => call<SamplerAnswer>('POST', `/samplers/${id}/restore`, {}),
  sendOperations: (id: string, baseRevision: number, operations: readonly SentOperation[]) =>
    call<WrittenAnswer>('POST', `/samplers/${id}/operations`, { baseRevision, operations }),
  /** From the shelf, where it is not open. */
  renameSampler: async (id: string, name: string): Promise<void> => {
    const { revision } = await api.sampler(id)
    await api.sendOperations(id, revision, [{ id: crypto.randomUUID(), operation: { kind: 'rename', name } }])
  },
  classes: (sampler: string) => call<ClassSummary[]>('GET', `/samplers/${sampler}/classes`),
  group: (id: string) => call<ClassAnswer>('GET', `/classes/${id}`),
  makeClass: (given: { sampler: string; name: string }) => call<ClassAnswer>('POST', '/classes', given),
  removeClass: (id: string) => call<void>('DELETE', `/classes/${id}`),
  learning: (classId: string) => call<LearningAnswer>('GET', `/classes/${classId}/learning`),
  markPractice: (classId: string, events: readonly MarkedEvent[]) =>
    call<{ readonly kept: readonly string[] }>('POST', `/classes/${classId}/practice`, { events }),
  rulerChecks: () => call<{ readonly checks: readonly RulerCheckKept[] }>('GET', '/ruler-checks'),
  keepRulerCheck: (given: RulerCheckGiven) => call<RulerCheckKept>('POST', '/ruler-checks', given),
  dropRulerCheck: (id: string) => call<void>('DELETE', `/ruler-checks/${id}`),
  renewJoinCode: (classId: string) => call<{ readonly code: string }>('POST', `/classes/${classId}/join-code`, {}),
  endJoinCode: (classId: string) => call<void>('DELETE', `/classes/${classId}/join-code`),
  renewLink: (classId: string, learner: string) => call<{ readonly link: string }>('POST', `/classes/${classId}/learners/${learner}/link`, {}),
  endLink: (classId: string, learner: string) => call<void>('DELETE', `/classes/${classId}/learners/${learner}/link`),
  everythingOf: (classId: string, learner: string) => call<unknown>('GET', `/classes/${classId}/learners/${learner}/everything`),
  forgetLearner: (classId: string, learner: string) => call<void>('DELETE', `/classes/${classId}/learners/${learner}/everything`),
  /** `address`: that the same can be had from at once. */
  /** Its answer is read line by line (`readPrint`), and hung up on to stop it. */
  print: (address: string, signal: AbortSignal) => ask('POST', address.replace(/^\/api/, ''), {}, signal),
  stores: () => call<StoresAnswer>('GET', '/stores'),
  sendStoresOperations: (baseRevision: number, operations: readonly SentOperation<StoresOperation>[]) =>
    call<WrittenAnswer>('POST', '/stores/operations', { baseRevision, operations }),
  calendarAddress: (classId: string) => call<CalendarAddress>('GET', `/classes/${classId}/calendar-address`),
  renewCalendarAddress: (classId: string) => call<CalendarAddress>('POST', `/classes/${classId}/calendar-address`, {}),
  endCalendarAddress: (classId: string) => call<void>('DELETE', `/classes/${classId}/calendar-address`),
  sendClassOperations: (id: string, baseRevision: number, operations: readonly SentOperation<ClassOperation>[]) =>
    call<WrittenAnswer>('POST', `/classes/${id}/operations`, { baseRevision, operations }),
}

export function sentenceOf(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong. Try again.'
}
