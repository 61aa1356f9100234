/** The service as a page and a learner's device ask it. */

export interface Session {
  readonly cookie: string
  readonly csrf: string
}

const cookieOf = (answer: Response): string =>
  answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ')

/** The demo's teacher. */
export async function signIn(api: string): Promise<Session> {
  const first = await fetch(`${api}/session`)
  const cookie = cookieOf(first)
  const { csrf } = (await first.json()) as { csrf: string }
  const signedIn = await fetch(`${api}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-csrf-token': csrf, cookie },
    body: JSON.stringify({ email: 'demo@lemmata.example', password: 'needle and thread' }),
  })
  return { cookie: cookieOf(signedIn) || cookie, csrf: ((await signedIn.json()) as { csrf: string }).csrf }
}

/** A teacher of her own, beside the demo's. */
export async function signUp(api: string, email: string): Promise<Session> {
  const first = await fetch(`${api}/session`)
  const cookie = cookieOf(first)
  const { csrf } = (await first.json()) as { csrf: string }
  const made = await fetch(`${api}/accounts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-csrf-token': csrf, cookie },
    body: JSON.stringify({ email, name: 'Hail', password: 'rain on the window' }),
  })
  return { cookie: cookieOf(made) || cookie, csrf: ((await made.json()) as { csrf: string }).csrf }
}

export async function ask<Answer>(api: string, session: Session, method: string, path: string, body?: unknown): Promise<Answer> {
  const answer = await fetch(`${api}${path}`, {
    method,
    headers: { 'content-type': 'application/json', cookie: session.cookie, 'x-csrf-token': session.csrf },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`)
  return (await answer.json()) as Answer
}

/** Of the demo's classes, each with a new code. */
export async function classCodes(api: string, session: Session): Promise<readonly string[]> {
  const samplers = await ask<readonly { readonly id: string }[]>(api, session, 'GET', '/samplers')
  const codes: string[] = []
  for (const { id } of samplers)
    for (const group of await ask<readonly { readonly id: string }[]>(api, session, 'GET', `/samplers/${id}/classes`))
      codes.push((await ask<{ readonly code: string }>(api, session, 'POST', `/classes/${group.id}/join-code`, {})).code)
  return codes
}

export async function joinAs(api: string, code: string, name: string): Promise<string> {
  const answer = await fetch(`${api}/learn/join`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ code, name, hand: 'right', word: 'drizzle' }),
  })
  if (!answer.ok) throw new Error(`joining: ${answer.status} ${await answer.text()}`)
  return ((await answer.json()) as { key: string }).key
}
