/** Doors: who am I, in, out, the password; accounts and tokens for the owner; what was done. */
import type { Request } from 'express'
import Papa from 'papaparse'
import { readDocument } from '@brannik/core'
import { z } from 'zod'
import {
  accountById,
  accountByName,
  addAccount,
  changeAccount,
  changedAccountSchema,
  hasOwner,
  listAccounts,
  newAccountSchema,
  removeAccount,
} from '../access/accounts.ts'
import { type Actor, accountNameOf } from '../access/actor.ts'
import { giveKnown, giveSession, secretOfBrowser, secretOfSession, takeSession } from '../access/cookie.ts'
import { passwordSchema } from '../access/passwords.ts'
import { knownAs, makeKnown } from '../access/knownBrowsers.ts'
import { clearTries, countTry, limitSignIns, tryOf } from '../access/rate.ts'
import { mayDo, ROLE_WORDS } from '../access/roles.ts'
import { isPassword } from '../access/secrets.ts'
import { closeSession, closeSessionsOf, openSession } from '../access/sessions.ts'
import { addToken, listTokens, newTokenSchema, revokeToken } from '../access/tokens.ts'
import { inTransaction, reading } from '../database.ts'
import { smallBody } from '../documents/body.ts'
import { invalid, Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'
import { auditLines, note } from '../stores/audit.ts'
import { ALL_KINDS } from '../stores/kinds.ts'
import { queryOf } from './lists.ts'

export const signInSchema = z.strictObject({
  name: z.string().min(1, 'is empty; write your name').max(80),
  password: z.string().min(1, 'is empty; write your password').max(200),
})
export const passwordChangeSchema = z.strictObject({ old: z.string().max(200), new: passwordSchema })

function read<T>(schema: z.ZodType<T>, request: Request): T {
  const document = readDocument(schema, smallBody(request))
  if (!document.ok) throw invalid(document.problems)
  return document.value
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/
function uuid(request: Request, what: string): string {
  const id = String(request.params['id'])
  if (!UUID.test(id)) throw new Problem(404, 'Not here', `“${id.slice(0, 40)}” is no ${what}.`)
  return id
}

function accountOf({ actor }: Request): string {
  if (actor.accountId !== null) return actor.accountId
  throw new Problem(
    409,
    'No account',
    actor.via === 'token'
      ? 'A token has no password. The owner takes it back and makes another.'
      : 'On this machine nobody has signed in, so there is no account and no password to change.',
  )
}

export const doorRoutes: AddRoutes = (api, { database, access }) => {
  api.on('get', '/me', 'anyone', async (request, response) => {
    const { who, role, via } = request.actor
    response.json({
      who,
      account: accountNameOf(request.actor),
      role,
      via,
      needsSignIn: access.needsSignIn,
      // Of its own machine this browser is not known yet.
      needsLink: !access.needsSignIn && role === null,
      may: role === null ? null : ROLE_WORDS[role],
      writes: ALL_KINDS.filter(({ writers }) => mayDo(role, writers)).map(({ path }) => path),
      // Whether there is one tells a stranger nothing that the sign-in page does not.
      hasOwner: await hasOwner(database),
    })
  })

  api.on('post', '/sign-in', 'anyone', limitSignIns(database), async (request, response) => {
    const { name, password } = read(signInSchema, request)
    const account = await accountByName(database, name)
    const known = account && (await knownAs(database, secretOfBrowser(request), account.id))
    const attempt = tryOf(name, known ?? request.ip ?? 'unknown')
    await countTry(database, attempt)
    const isRight = await isPassword(password, account?.passwordHash ?? null)
    if (!account || !isRight || account.disabled) {
      await note(
        database,
        { ...request.actor, who: name.slice(0, 80), role: 'guest' },
        { action: 'failed to sign in' },
      )
      throw new Problem(
        401,
        'Not signed in',
        'Name and password do not belong together. Check both and try again.',
      )
    }
    await clearTries(database, attempt)
    const actor: Actor = { ...request.actor, who: account.name, role: account.role, via: 'session' }
    const { secret, browser } = await inTransaction(database, async (connection) => {
      await note(connection, actor, { action: 'signed in' })
      return {
        secret: await openSession(connection, account.id, actor.address, request.get('User-Agent') ?? null),
        browser: known ? null : await makeKnown(connection, account.id),
      }
    })
    giveSession(request, response, secret)
    if (browser !== null) giveKnown(request, response, browser)
    response.json({ who: account.name, role: account.role })
  })

  api.on('post', '/sign-out', 'anyone', async (request, response) => {
    const secret = secretOfSession(request)
    if (secret !== null) {
      await inTransaction(database, async (connection) => {
        await closeSession(connection, secret)
        if (request.actor.via === 'session') await note(connection, request.actor, { action: 'signed out' })
      })
    }
    takeSession(request, response)
    response.status(204).end()
  })

  api.on('post', '/sign-out-everywhere', 'guest', async (request, response) => {
    const id = accountOf(request)
    await inTransaction(database, async (connection) => {
      await closeSessionsOf(connection, id)
      await note(connection, request.actor, { action: 'signed out everywhere' })
    })
    takeSession(request, response)
    response.status(204).end()
  })

  api.on('put', '/password', 'guest', limitSignIns(database), async (request, response) => {
    const id = accountOf(request)
    const { old, new: password } = read(passwordChangeSchema, request)
    const attempt = tryOf(request.actor.who, request.ip ?? 'unknown')
    await countTry(database, attempt)
    const account = await accountById(database, id)
    if (!(await isPassword(old, account?.passwordHash ?? null))) {
      await note(database, request.actor, { action: 'gave a wrong old password' })
      throw new Problem(403, 'Not changed', 'The old password is not right. Type it again.')
    }
    await clearTries(database, attempt)
    await inTransaction(database, async (connection) => {
      await changeAccount(connection, id, { password }, 'new')
      await closeSessionsOf(connection, id, secretOfSession(request))
      await note(connection, request.actor, { action: 'changed the password' })
    })
    response.status(204).end()
  })
}

export const accountRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/accounts', 'owner', async (_request, response) => {
    response.json({ items: await reading(database, listAccounts) })
  })
  api.on('post', '/accounts', 'owner', async (request, response) => {
    const wanted = read(newAccountSchema, request)
    const account = await inTransaction(database, async (connection) => {
      const made = await addAccount(connection, wanted)
      await note(connection, request.actor, {
        action: 'made an account',
        detail: `${made.name}, ${made.role}`,
      })
      return made
    })
    response.status(201).location(`/api/accounts/${account.id}`).json(account)
  })
  api.on('put', '/accounts/:id', 'owner', async (request, response) => {
    const id = uuid(request, 'account')
    const change = read(changedAccountSchema, request)
    const account = await inTransaction(database, async (connection) => {
      const changed = await changeAccount(connection, id, change)
      // Whoever was in with the old password or role comes in anew.
      await closeSessionsOf(connection, id, secretOfSession(request))
      const what = Object.keys(change).join(', ')
      await note(connection, request.actor, {
        action: 'changed an account',
        detail: `${changed.name}: ${what}`,
      })
      return changed
    })
    response.json(account)
  })
  api.on('delete', '/accounts/:id', 'owner', async (request, response) => {
    const id = uuid(request, 'account')
    await inTransaction(database, async (connection) => {
      const removed = await removeAccount(connection, id)
      await note(connection, request.actor, { action: 'took an account away', detail: removed.name })
    })
    response.status(204).end()
  })

  api.on('get', '/tokens', 'owner', async (_request, response) => {
    response.json({ items: await reading(database, listTokens) })
  })
  api.on('post', '/tokens', 'owner', async (request, response) => {
    const wanted = read(newTokenSchema, request)
    const made = await inTransaction(database, async (connection) => {
      const added = await addToken(connection, wanted, request.actor)
      await note(connection, request.actor, {
        action: 'made a token',
        detail: `${added.token.name}, ${added.token.role}`,
      })
      return added
    })
    response.status(201).json({ ...made.token, secret: made.secret })
  })
  api.on('delete', '/tokens/:id', 'owner', async (request, response) => {
    const id = uuid(request, 'token')
    await inTransaction(database, async (connection) => {
      const token = await revokeToken(connection, id)
      await note(connection, request.actor, { action: 'took a token back', detail: token.name })
    })
    response.status(204).end()
  })
}

const auditQuery = z.strictObject({
  before: z
    .string()
    .regex(/^\d{1,18}$/, 'must be a number of a line')
    .optional(),
})

/** A text that a spreadsheet would take for a formula is marked as text. */
const csv = (rows: readonly object[]): string => Papa.unparse([...rows], { escapeFormulae: true })

export const auditRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/audit', 'owner', async (request, response) => {
    const { before } = queryOf(auditQuery, request)
    response.json({ items: await reading(database, (connection) => auditLines(connection, before ?? null)) })
  })
  api.on('get', '/audit.csv', 'owner', async (_request, response) => {
    response.type('text/csv').attachment('brannik-what-was-done.csv')
    let before: string | null = null
    do {
      const lines = await reading(database, (connection) => auditLines(connection, before))
      const text = csv(lines.map(({ at, ...line }) => ({ at: at.toISOString(), ...line })))
      const rows = before === null ? text : text.slice(text.indexOf('\r\n') + 2)
      if (lines.length > 0) response.write(`${rows}\r\n`)
      before = lines.at(-1)?.seq ?? null
    } while (before !== null)
    response.end()
  })
}
