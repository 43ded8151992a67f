/** Typed calls to the application; every failure is a `ProblemError` that says why and what to do. */
import createClient from 'openapi-fetch'

import type { paths } from './schema'
import type { Problem } from './types'

export const api = createClient<paths>({
  baseUrl: location.origin,
  fetch: (request: Request) => globalThis.fetch(request),
})

export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(`${problem.why} ${problem.fix}`.trim())
  }
}

export const UNREACHABLE: Problem = {
  code: 'unreachable',
  why: 'The application does not answer.',
  fix: 'Is it still running?',
  about: '',
  sentence: '',
  nearest: '',
  version: null,
}

/** Await a call and return its data, or throw a `ProblemError`. */
export async function ask<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer
  try {
    answer = await call
  } catch {
    throw new ProblemError(0, UNREACHABLE)
  }
  if (answer.error !== undefined || !answer.response.ok) {
    const problem = isProblem(answer.error) ? answer.error : { ...UNREACHABLE, code: 'unknown' }
    throw new ProblemError(answer.response.status, problem)
  }
  return answer.data as T
}

/** Whether asking again later may help: nobody answers, or the application says that it cannot just now. */
export function isPassing(error: unknown): boolean {
  return error instanceof ProblemError && (error.status === 0 || error.status === 429 || error.status >= 500)
}

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'why' in value && 'fix' in value
}
