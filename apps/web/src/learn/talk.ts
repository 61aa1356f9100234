/** What her device asks of the server. Her key goes with it; no cookie does. */
import type { ErrorAnswer, JoinedAnswer, LinkAnswer, SentPicture, ToldEvent, WeekAnswer, WeekNews } from '@lemmata/contract'

/** The server answered, and not with what was asked for. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    /** Which refusal it is, so that it can be said in her own language. */
    readonly code: string,
    message: string,
  ) {
    super(message)
  }
}

/** Nobody answered: she goes on with what is there. */
export class NoConnection extends Error {
  constructor() {
    super('no connection')
  }
}

interface Asked {
  readonly key?: string | null
  /** A picture goes as it is, everything else as JSON. */
  readonly body?: unknown
}

async function ask<T>(method: string, path: string, { key = null, body }: Asked = {}): Promise<T> {
  const sent = body === undefined ? null : body instanceof Blob ? { type: body.type, body } : { type: 'application/json', body: JSON.stringify(body) }
  let answer: Response
  try {
    answer = await fetch(`/api/learn${path}`, {
      method,
      credentials: 'omit',
      headers: { ...(key === null ? {} : { authorization: `Bearer ${key}` }), ...(sent ? { 'content-type': sent.type } : {}) },
      ...(sent ? { body: sent.body } : {}),
    })
  } catch {
    throw new NoConnection()
  }
  if (answer.status === 204) return undefined as T
  const said: unknown = await answer.json().catch(() => null)
  if (answer.ok) return said as T
  const { error } = (said ?? {}) as Partial<ErrorAnswer>
  if (!error && answer.status >= 500) throw new NoConnection()
  throw new Refused(answer.status, error?.code ?? '', error?.message ?? '')
}

export const talk = {
  code: (code: string) => ask<{ readonly className: string }>('GET', `/codes/${encodeURIComponent(code)}`),
  join: (given: { readonly code: string; readonly name: string; readonly hand: 'left' | 'right'; readonly word: string }) =>
    ask<JoinedAnswer>('POST', '/join', { body: given }),
  link: (link: string) => ask<LinkAnswer>('GET', `/links/${encodeURIComponent(link)}`),
  open: (given: { readonly link: string; readonly word: string }) => ask<JoinedAnswer>('POST', '/open', { body: given }),
  /** `known`: what her device has already, and is not sent again. */
  week: (key: string, known: WeekAnswer | null) =>
    ask<WeekAnswer | WeekNews>('GET', known?.version ? `/week?known=${encodeURIComponent(known.version)}` : '/week', { key }).then(
      (answer): WeekAnswer => ('sampler' in answer || !known ? (answer as WeekAnswer) : { ...known, ...answer }),
    ),
  tell: (key: string, events: readonly ToldEvent[]) => ask<{ readonly kept: readonly string[] }>('POST', '/events', { key, body: { events } }),
  sendPicture: (key: string, exercise: string, picture: Blob) =>
    ask<SentPicture>('POST', `/pictures?exercise=${encodeURIComponent(exercise)}`, { key, body: picture }),
  mayShow: (key: string, id: string, mayShow: boolean) => ask<SentPicture>('PATCH', `/pictures/${id}`, { key, body: { mayShow } }),
  takeBack: (key: string, id: string) => ask<void>('DELETE', `/pictures/${id}`, { key }),
  everything: (key: string) => ask<unknown>('GET', '/everything', { key }),
  forget: (key: string) => ask<void>('DELETE', '/everything', { key }),
}
