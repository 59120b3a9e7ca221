/** Who asks: found once a request, from a token, a session, or because this machine is the owner's. */
import type { Request, RequestHandler } from 'express'
import type { Access } from '../config.ts'
import type { Author, Database } from '../database.ts'
import { Problem } from '../problems.ts'
import { type Needs, mayDo, type Role } from './roles.ts'
import { secretOfMachine, secretOfSession } from './cookie.ts'
import { isWrite } from './guard.ts'
import { hashOfSecret } from './secrets.ts'
import { sessionOf } from './sessions.ts'
import { isOfThisMachine } from './thisMachine.ts'
import { note } from '../stores/audit.ts'
import { isNewUse, tokenOf } from './tokens.ts'

export interface Actor {
  /** As the history names them. */
  readonly who: string
  /** null: nobody has said who they are. */
  readonly role: Role | null
  readonly via: 'this machine' | 'session' | 'token' | 'command line' | 'the clock' | 'nobody'
  readonly accountId: string | null
  readonly tokenId: string | null
  /** Paths of the records that it is kept to; null: to none. */
  readonly kinds: readonly string[] | null
  /** What lets them in, as the database tells that it no longer does; null: this machine. */
  readonly door: string | null
  readonly address: string | null
  readonly requestId: string | null
}

const BY_ITSELF = { accountId: null, tokenId: null, kinds: null, door: null } as const

/** Nobody has said who they are. */
export const NOBODY = { who: 'nobody', role: null, via: 'nobody', ...BY_ITSELF } as const

/** Whoever runs a command on this machine. */
export const COMMAND_LINE: Actor = {
  who: 'command line',
  role: 'owner',
  via: 'command line',
  ...BY_ITSELF,
  address: null,
  requestId: null,
}

/** What Brannik does by itself. */
export const THE_CLOCK: Actor = { ...COMMAND_LINE, who: 'Brannik', via: 'the clock' }

/** As the history, the audit and the events keep them. */
export const authorOf = ({ who, via, accountId, tokenId }: Actor): Author => ({
  who,
  id: accountId ?? tokenId,
  kind: via === 'session' ? 'account' : via === 'nobody' || via === 'the clock' ? null : via,
})
/** Whom a key, or a measure of writes, is counted for: another one of the same name is somebody else. */
export const identityOf = (actor: Actor): string => {
  const { id, kind } = authorOf(actor)
  return id === null ? (kind ?? 'nobody') : `${kind} ${id}`
}

declare module 'express-serve-static-core' {
  interface Request {
    actor: Actor
  }
}

const BEARER = /^Bearer (\S{1,200})$/

/** Header of a page: for whom it is open. */
export const ACCOUNT_HEADER = 'Shop-Account'
/** For whom a page is open where nobody has signed in. */
const THIS_MACHINE = 'this-machine'
export const accountNameOf = ({ role, accountId }: Pick<Actor, 'role' | 'accountId'>): string | null =>
  role === null ? null : (accountId ?? THIS_MACHINE)

/**
 * What one person has typed is never stored as another's: a page that was opened for one, in a browser where somebody
 * else has signed in since, is told so.
 * @throws Problem 403 where it is open for somebody else
 */
const onlyForWhomItIsOpen: RequestHandler = (request, _response, next) => {
  const open = request.get(ACCOUNT_HEADER)
  const now = accountNameOf(request.actor)
  const isOther = open !== undefined && now !== null && request.actor.via !== 'token' && open !== now
  next(
    isOther
      ? new Problem(
          403,
          'Somebody else has signed in',
          'This page was opened for somebody else than who is signed in here now. Load it again.',
          { extra: { outcome: 'another-account' } },
        )
      : undefined,
  )
}

const isHere = async (database: Database, { thisMachine }: Access, request: Request): Promise<boolean> =>
  thisMachine === 'open' || (await isOfThisMachine(database, secretOfMachine(request)))

/** @throws Problem 401 where a token is shown that is none */
const findWho =
  (database: Database, access: Access): RequestHandler =>
  async (request, _response, next) => {
    const place = { address: request.ip ?? null, requestId: String(request.id) }
    const authorization = request.get('Authorization')
    if (authorization !== undefined) {
      const secret = BEARER.exec(authorization)?.[1]
      const token = secret === undefined ? null : await tokenOf(database, secret)
      if (!token)
        throw new Problem(
          401,
          'No such token',
          'The token is not known, or was taken back. Ask the owner for another; send it as Authorization: Bearer ….',
        )
      request.actor = {
        ...BY_ITSELF,
        who: token.name,
        role: token.role,
        via: 'token',
        tokenId: token.id,
        kinds: token.kinds,
        door: `token ${token.id}`,
        ...place,
      }
      const what = `${request.baseUrl}${request.path}`
        .split('/')
        .find((part) => part !== '' && part !== 'api')
      const use = `${isWrite(request) ? 'write' : 'read'} ${what ?? ''}`
      if (await isNewUse(database, token.id, use))
        await note(database, request.actor, { action: 'used a token in a new way', detail: use })
      next()
      return
    }
    const secret = secretOfSession(request)
    const session = secret === null ? null : await sessionOf(database, secret)
    if (session)
      request.actor = {
        who: session.name,
        role: session.role,
        via: 'session',
        ...BY_ITSELF,
        accountId: session.accountId,
        door: `session ${hashOfSecret(secret ?? '').toString('hex')}`,
        ...place,
      }
    else if (access.needsSignIn || !(await isHere(database, access, request)))
      request.actor = { ...NOBODY, ...place }
    else request.actor = { who: 'this machine', role: 'owner', via: 'this machine', ...BY_ITSELF, ...place }
    next()
  }

export const findActor = (database: Database, access: Access): RequestHandler[] => [
  findWho(database, access),
  onlyForWhomItIsOpen,
]

/** @throws Problem where the role of whoever asks does not allow it */
export function mustBe({ role }: Request['actor'], needs: Needs): void {
  if (mayDo(role, needs)) return
  throw role === null
    ? new Problem(
        401,
        'Sign in first',
        'Sign in. On the shop’s own machine, open the link that the start printed. A program sends a token.',
      )
    : new Problem(
        403,
        'Not for this role',
        `You are here as ${role}; this needs the role ${needs}. Ask the owner of the shop.`,
      )
}
/** What every token may ask, whatever it is for. */
const FOR_ALL = ['me', 'changes', 'openapi.json', 'live', 'ready', 'health', 'version']
/** @throws Problem where a token that is for some kinds of records asks for something else */
function mustBeWithin({ kinds }: Request['actor'], path: string): void {
  if (kinds === null) return
  const [first = '', second = ''] = path.split('/').filter(Boolean)
  const asked = first === 'history' ? second : first
  if (FOR_ALL.includes(asked) || kinds.includes(asked)) return
  throw new Problem(
    403,
    'Not for this token',
    `This token is for ${kinds.join(', ')} alone. Ask the owner of the shop for another.`,
  )
}
export const allow =
  (needs: Needs): RequestHandler =>
  ({ actor, path }, _response, next) => {
    mustBe(actor, needs)
    mustBeWithin(actor, path)
    next()
  }
