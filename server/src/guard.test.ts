/** Who is let in by the marks of a request alone: names, proxies, other pages. Host and Origin by RFC 9110, 6454; Fetch metadata by W3C. */
import type { Request, RequestHandler, Response } from 'express'
import { describe, expect, it } from 'vitest'
import { isWrite, onlyJson, onlyOwnNames, onlyOwnPages } from './access/guard.ts'
import { accessOf } from './config.ts'
import { Problem } from './problems.ts'

/** A request of these headers; `host` is what a proxy that is trusted would say. */
function request(
  method: string,
  headers: Readonly<Record<string, string>>,
  rawHeaders?: readonly string[],
): Request {
  const lower = Object.fromEntries(Object.entries(headers).map(([key, value]) => [key.toLowerCase(), value]))
  return {
    method,
    headers: lower,
    host: lower['host'],
    rawHeaders: rawHeaders ?? Object.entries(headers).flat(),
    get: (name: string) => lower[name.toLowerCase()],
    is: (type: string) => (lower['content-type']?.startsWith(type) ? type : false),
  } as unknown as Request
}
/** The status of what is told; 0 where it goes on. */
function told(handler: RequestHandler, of: Request): number {
  let status = -1
  void handler(of, {} as Response, (error?: unknown) => {
    status = error instanceof Problem ? error.status : error === undefined ? 0 : 500
  })
  return status
}

describe('a name', () => {
  const open = onlyOwnNames(accessOf('127.0.0.1', { allowedHosts: 'localhost' }))
  const named = (Host: string, more: Readonly<Record<string, string>> = {}) =>
    told(open, request('GET', { Host, ...more }))
  it('is this machine’s, with a port and without, in any case', () => {
    for (const host of ['127.0.0.1', '127.0.0.1:4870', 'LOCALHOST:4870', '[::1]:4870', '[::1]'])
      expect(named(host), host).toBe(0)
  })
  it('of the web, or of nobody, is answered nothing', () => {
    for (const host of ['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example:4870', ''])
      expect(named(host), host).toBe(421)
    expect(told(open, request('GET', {}))).toBe(421)
  })
  it('is one', () => {
    const twice = ['Host', 'localhost', 'host', 'evil.example']
    expect(told(open, request('GET', { Host: 'localhost' }, twice))).toBe(400)
    // A value that is called like the header is no second one.
    expect(told(open, request('GET', { Host: 'localhost' }, ['Host', 'localhost', 'X', 'host']))).toBe(0)
  })
  it('does not come through a proxy to a server that is open without sign-in', () => {
    for (const header of [
      'Forwarded',
      'Via',
      'X-Forwarded-For',
      'X-Real-IP',
      'CF-Ray',
      'Client-IP',
      'Remote-User',
    ])
      expect(named('localhost', { [header]: 'x' }), header).toBe(421)
    for (const header of ['X-Requested-With', 'Accept', 'Viability', 'Shop-Epoch'])
      expect(named('localhost', { [header]: 'x' }), header).toBe(0)
    const signed = onlyOwnNames(accessOf('127.0.0.1', { signIn: 'always' }))
    expect(told(signed, request('GET', { Host: 'localhost', Via: 'x' }))).toBe(0)
    const proxied = onlyOwnNames(accessOf('127.0.0.1', { trustsProxy: true }))
    expect(told(proxied, request('GET', { Host: 'localhost', Via: 'x' }))).toBe(0)
  })
})

describe('a write', () => {
  it('is what may change something', () => {
    const writes = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE'].filter((method) =>
      isWrite(request(method, {})),
    )
    expect(writes).toEqual(['POST', 'PUT', 'PATCH', 'DELETE'])
  })
  const write = (headers: Readonly<Record<string, string>>, method = 'POST') =>
    told(onlyOwnPages, request(method, { Host: 'shop:4870', ...headers }))
  it('comes from a page of this server, or from a program without a cookie', () => {
    expect(write({ Origin: 'http://shop:4870', 'Sec-Fetch-Site': 'same-origin', Cookie: 'a=b' })).toBe(0)
    expect(write({ 'Sec-Fetch-Site': 'none', Cookie: 'a=b' })).toBe(0)
    expect(write({})).toBe(0)
    expect(write({ Origin: 'http://shop:4870' })).toBe(0)
  })
  it('of another page is refused, by whichever mark it has', () => {
    expect(write({ Origin: 'http://evil.example' })).toBe(403)
    expect(write({ Origin: 'http://shop:4871' })).toBe(403)
    expect(write({ Origin: 'null' })).toBe(403)
    expect(write({ 'Sec-Fetch-Site': 'cross-site' })).toBe(403)
    expect(write({ 'Sec-Fetch-Site': 'same-site' })).toBe(403)
    expect(write({ Origin: 'http://shop:4870', 'Sec-Fetch-Site': 'cross-site' })).toBe(403)
    // An old browser that says nothing but its cookie.
    expect(write({ Cookie: 'a=b' })).toBe(403)
  })
  it('is looked at, and looking is not', () => {
    expect(write({ Origin: 'http://evil.example' }, 'GET')).toBe(0)
  })
})

describe('a body', () => {
  const sent = (method: string, type?: string) =>
    told(onlyJson, request(method, type === undefined ? {} : { 'Content-Type': type }))
  it('is JSON where one may come', () => {
    for (const method of ['POST', 'PUT', 'PATCH']) {
      expect(sent(method, 'application/json; charset=utf-8'), method).toBe(0)
      expect(sent(method, 'text/plain'), method).toBe(415)
      expect(sent(method), method).toBe(415)
    }
    expect([sent('DELETE'), sent('GET', 'text/plain')]).toEqual([0, 0])
  })
})
