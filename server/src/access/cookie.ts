/** The cookie of a session: for this server alone, out of reach of scripts, and only over TLS where there is any. */
import { parseCookie, stringifySetCookie } from 'cookie'
import type { Request, Response } from 'express'
import { LIMITS } from '../limits.ts'

/** The prefix binds the cookie to TLS and to this host (RFC 6265bis). */
const nameFor = (request: Request): string => (request.secure ? '__Host-brannik' : 'brannik')

export function secretOfSession(request: Request): string | null {
  return parseCookie(request.get('Cookie') ?? '')[nameFor(request)] ?? null
}

function set(request: Request, response: Response, value: string, maxAge: number): void {
  response.append(
    'Set-Cookie',
    stringifySetCookie({
      name: nameFor(request),
      value,
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge,
    }),
  )
}

export const giveSession = (request: Request, response: Response, secret: string): void => {
  set(request, response, secret, LIMITS.sessionDays * 86_400)
}
export const takeSession = (request: Request, response: Response): void => {
  set(request, response, '', 0)
}
