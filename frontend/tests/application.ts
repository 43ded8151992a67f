/** An application that answers as a test says, and remembers what it was asked. */
import { vi } from 'vitest'

type Body = Record<string, unknown>
type Answer = unknown | ((body: Body) => unknown)

export interface Asked {
  what: string
  body: Body
}

/** A refusal in the application's own form. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly why: string,
  ) {}
}

/**
 * Answer requests, named by method and address without its query, until the test ends.
 * What nobody has said an answer for is answered 404, so that a test that forgets one fails.
 */
export function application(answers: Record<string, Answer>): Asked[] {
  const asked: Asked[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const what = `${request.method} ${new URL(request.url).pathname}`
    const text = await request.text()
    const body = (text.startsWith('{') ? JSON.parse(text) : {}) as Body
    asked.push({ what, body })
    const known = what in answers
    const answer = typeof answers[what] === 'function' ? (answers[what] as (b: Body) => unknown)(body) : answers[what]
    const refusal = answer instanceof Refusal ? answer : known ? null : new Refusal(404, `nobody answers ${what}`)
    const said = refusal
      ? { code: 'refused', why: refusal.why, fix: 'Do it otherwise.', about: '', nearest: '' }
      : answer
    return new Response(JSON.stringify(said), {
      status: refusal?.status ?? 200,
      headers: { 'content-type': 'application/json' },
    })
  })
  return asked
}

/** What was asked of one address, in order. */
export function askedOf(asked: Asked[], what: string): Body[] {
  return asked.filter((one) => one.what === what).map((one) => one.body)
}
