/** Keeps other web pages out: a page somewhere else must reach this server neither by its own name nor through a browser. */
import type { Request, RequestHandler } from 'express'
import type { Access } from '../config.ts'
import { Problem } from '../problems.ts'

/** `[::1]:4870` → `::1` */
const hostName = (header: string): string =>
  header
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase()

/** What proxies, tunnels and content networks add to what they pass on. One that adds nothing has no link, see `thisMachine.ts`. */
const FORWARDED =
  /^(forwarded|via|cdn-loop|remote-(user|addr)|client-ip|(ssl-client|cf|fastly|true)-.*|x-(forward|original|prox|envoy|amz|appengine|azure|arr|nginx|varnish|coming|host|scheme|url|proto|remote|real|client|cluster).*)$/

/** Only names that are this server's: a name of the web that is made to lead here (DNS rebinding) is answered nothing. */
export const onlyOwnNames =
  ({ allowedHosts, needsSignIn, trustsProxy }: Access): RequestHandler =>
  (request, _response, next) => {
    // A proxy may look at the first of two, and this server at the second.
    if (request.rawHeaders.filter((header, index) => index % 2 === 0 && /^host$/i.test(header)).length > 1) {
      next(new Problem(400, 'Two names', 'The request has two Host headers. Send one.'))
      return
    }
    const name = hostName(request.get('Host') ?? '')
    if (!allowedHosts.has(name)) {
      next(
        new Problem(
          421,
          'Wrong name',
          `This server does not answer as “${name.slice(0, 80)}”. Put the name into ALLOWED_HOSTS and start again.`,
        ),
      )
      return
    }
    // Without sign-in whoever is on this machine is the owner; whoever comes through a proxy is not on this machine.
    if (
      !needsSignIn &&
      !trustsProxy &&
      Object.keys(request.headers).some((header) => FORWARDED.test(header))
    ) {
      next(
        new Problem(
          421,
          'Through a proxy',
          'This server is open without sign-in, for this machine alone. To serve through a proxy set ALLOWED_HOSTS and TRUST_PROXY=1.',
        ),
      )
      return
    }
    next()
  }

const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE'])
export const isWrite = ({ method }: Request): boolean => WRITES.has(method)

const hostOfOrigin = (origin: string): string | null => {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}

/** A write comes from a page of this server, or from a program that shows no cookie. */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  if (!isWrite(request)) {
    next()
    return
  }
  const origin = request.get('Origin')
  const site = request.get('Sec-Fetch-Site')
  // `request.host` is the proxy's word where a proxy is trusted.
  const isOther = origin !== undefined && hostOfOrigin(origin) !== request.host
  const isCrossSite = site !== undefined && site !== 'same-origin' && site !== 'none'
  const isUnsigned = origin === undefined && site === undefined && request.get('Cookie') !== undefined
  next(
    isOther || isCrossSite || isUnsigned
      ? new Problem(
          403,
          'From another page',
          'A write must come from a page of this server. A program sends a token instead of a cookie.',
        )
      : undefined,
  )
}

/** A form of another page can post plain text without asking; JSON it cannot. */
export const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody = request.method === 'POST' || request.method === 'PUT' || request.method === 'PATCH'
  next(
    hasBody && !request.is('application/json')
      ? new Problem(415, 'Not JSON', 'Send Content-Type: application/json.')
      : undefined,
  )
}
