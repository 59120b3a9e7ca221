/** Cookies of a session, of a known browser and of this machine's: for this server alone, out of reach of scripts, and only over TLS where there is any. */
import { parseCookie, stringifySetCookie } from 'cookie'
import type { Request, Response } from 'express'
import { LIMITS } from '../limits.ts'

/** The prefix binds the cookie to TLS and to this host (RFC 6265bis). */
const nameFor = (request: Request, what: string): string => (request.secure ? `__Host-${what}` : what)
const SESSION = 'brannik'
const KNOWN = 'brannik-known'
/** Two shops on one machine differ by their port alone, and a browser keeps cookies by host. */
const here = (request: Request): string =>
  `brannik-here-${/:(\d+)$/.exec(request.get('Host') ?? '')?.[1] ?? 'web'}`
const secretIn = (request: Request, what: string): string | null =>
  parseCookie(request.get('Cookie') ?? '')[nameFor(request, what)] ?? null

export const secretOfSession = (request: Request): string | null => secretIn(request, SESSION)
export const secretOfBrowser = (request: Request): string | null => secretIn(request, KNOWN)

function set(request: Request, response: Response, what: string, value: string, maxAge: number): void {
  response.append(
    'Set-Cookie',
    stringifySetCookie({
      name: nameFor(request, what),
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
  set(request, response, SESSION, secret, LIMITS.sessionDays * 86_400)
}
export const giveKnown = (request: Request, response: Response, secret: string): void => {
  set(request, response, KNOWN, secret, LIMITS.knownDays * 86_400)
}
export const secretOfMachine = (request: Request): string | null => secretIn(request, here(request))
export const giveMachine = (request: Request, response: Response, secret: string): void => {
  set(request, response, here(request), secret, LIMITS.knownDays * 86_400)
}
export const takeSession = (request: Request, response: Response): void => {
  set(request, response, SESSION, '', 0)
}
