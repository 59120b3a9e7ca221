/** Who sits here: what they may, and what is told to the server and forgotten in the browser. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ask, forgetOwner, owner } from '../api/client.ts'
import { type Role, useSession } from './session.ts'

const meOf = (role: Role | null) => ({
  who: role ?? 'nobody',
  account: role === null ? null : `a-${role}`,
  role,
  via: 'sign-in',
  needsSignIn: true,
  needsLink: false,
  hasOwner: true,
  may: null,
  writes: role === 'owner' ? ['jobs', 'shop'] : role === 'welder' ? ['jobs'] : [],
})
let role: Role | null = null
let sent: unknown[] = []
beforeEach(() => {
  setActivePinia(createPinia())
  forgetOwner()
  role = null
  sent = []
  vi.stubGlobal('fetch', (path: string, init: RequestInit = {}) => {
    if (path === '/api/me') return Promise.resolve(Response.json(meOf(role)))
    if (path === '/api/jobs') return Promise.resolve(Response.json({ detail: 'sign in' }, { status: 401 }))
    sent.push([init.method, path, JSON.parse(String(init.body))])
    role = path === '/api/sign-in' ? 'welder' : null
    return Promise.resolve(Response.json({}))
  })
})
async function sessionOf(now: Role | null) {
  role = now
  const session = useSession()
  await session.find()
  return session
}

describe('what one may', () => {
  it('is everything until the server has said otherwise', () => {
    const session = useSession()
    expect([session.mayWrite('shop'), session.mayRecord, session.isOwner]).toEqual([true, true, false])
  })

  it('is what the role writes; a guest records nothing, and the owner alone is the owner', async () => {
    const owns = await sessionOf('owner')
    expect([owns.mayWrite('shop'), owns.mayRecord, owns.isOwner]).toEqual([true, true, true])
    const welds = await sessionOf('welder')
    expect([welds.mayWrite('jobs'), welds.mayWrite('shop'), welds.mayRecord, welds.isOwner]).toEqual([
      true,
      false,
      true,
      false,
    ])
    const looks = await sessionOf('guest')
    expect([looks.mayWrite('jobs'), looks.mayRecord, looks.isOwner]).toEqual([false, false, false])
  })
})

describe('signing in and out', () => {
  it('tells the server, and opens the page for the account', async () => {
    const session = await sessionOf(null)
    expect([session.isSignedOut, owner().account]).toEqual([true, ''])
    await session.signIn('Hazel', 'a long one')
    expect(sent).toEqual([['POST', '/api/sign-in', { name: 'Hazel', password: 'a long one' }]])
    expect([session.isSignedOut, session.me?.who, owner().account]).toEqual([false, 'welder', 'a-welder'])
  })

  it('out, here or everywhere, leaves nobody, and nothing kept of the shop', async () => {
    const dropped: string[] = []
    vi.stubGlobal('caches', {
      keys: () => Promise.resolve(['shop.e1', 'fonts', 'shop.who']),
      delete: (name: string) => Promise.resolve(dropped.push(name) > 0),
    })
    const session = await sessionOf('welder')
    await session.signOut(false)
    expect(sent).toEqual([['POST', '/api/sign-out', {}]])
    expect([session.isSignedOut, owner().account]).toEqual([true, ''])
    expect(dropped).toEqual(['shop.e1', 'shop.who'])
    await session.signOut(true)
    expect(sent.at(-1)).toEqual(['POST', '/api/sign-out-everywhere', {}])
    vi.unstubAllGlobals()
  })

  it('that ends on the server ends here: what is asked for next is of nobody', async () => {
    const session = await sessionOf('welder')
    expect(session.isSignedOut).toBe(false)
    await expect(ask('GET', 'jobs')).rejects.toThrow('sign in')
    expect([session.isSignedOut, owner().account]).toEqual([true, ''])
  })
})
