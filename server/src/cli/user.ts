/** `npm run user`: accounts from the command line, where the first owner is made before the shop is opened to others. */
import { createInterface } from 'node:readline'
import { parseArgs } from 'node:util'
import { readDocument } from '@brannik/core'
import {
  addAccount,
  changeAccount,
  changedAccountSchema,
  listAccounts,
  newAccountSchema,
  removeAccount,
} from '../access/accounts.ts'
import { authorOf, COMMAND_LINE } from '../access/actor.ts'
import { ROLE_WORDS, ROLES } from '../access/roles.ts'
import { unlock } from '../access/rate.ts'
import { makeLink } from '../access/thisMachine.ts'
import { closeSessionsOf } from '../access/sessions.ts'
import { type Connection, inTransaction, openDatabase } from '../database.ts'
import { migrate } from '../migrate.ts'
import { invalid, Problem } from '../problems.ts'
import { remedyFor } from '../remedies.ts'
import { note } from '../stores/audit.ts'

const USAGE = `npm run user -- list
npm run user -- add NAME --role ${ROLES.join('|')}      asks for the password
npm run user -- role NAME --role ROLE
npm run user -- password NAME                            asks for the new password, ends all sessions
npm run user -- remove NAME
npm run user -- unlock NAME                              lets it in again after too many wrong passwords
npm run user -- link                                     a link that lets a browser of this machine in, once

Roles: ${ROLES.map((role) => `${role} (${ROLE_WORDS[role]})`).join('; ')}.`

/** Asked for without showing it; read as a line where no person sits at a terminal. */
async function askPassword(): Promise<string> {
  if (process.stdin.isTTY) {
    process.stdout.write('Password (not shown): ')
    process.stdin.setRawMode(true)
    let typed = ''
    for await (const chunk of process.stdin) {
      for (const letter of String(chunk)) {
        if (letter === '\r' || letter === '\n') {
          process.stdin.setRawMode(false)
          process.stdout.write('\n')
          return typed
        }
        if (letter === '\u0003') process.exit(130)
        typed = letter === '\u007f' ? typed.slice(0, -1) : typed + letter
      }
    }
    return typed
  }
  for await (const line of createInterface({ input: process.stdin, terminal: false })) return line
  return ''
}

function checked<T>(read: ReturnType<typeof readDocument<T>>): T {
  if (!read.ok) throw invalid(read.problems)
  return read.value
}

async function idOf(connection: Connection, name: string): Promise<string> {
  const found = (await listAccounts(connection)).find((one) => one.name.toLowerCase() === name.toLowerCase())
  if (!found)
    throw new Problem(404, 'Not here', `There is no account called “${name}”. See npm run user -- list.`)
  return found.id
}

async function run(): Promise<string> {
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: { role: { type: 'string' } },
  })
  const [command = '', name = ''] = positionals
  if (
    !['list', 'add', 'role', 'password', 'remove', 'unlock', 'link'].includes(command) ||
    (command !== 'list' && command !== 'link' && name === '')
  )
    return USAGE
  const database = openDatabase(process.env['DATABASE_URL'] ?? '')
  try {
    await migrate(database)
    const wanted = command === 'add' || command === 'password' ? { password: await askPassword() } : {}
    return await inTransaction(
      database,
      async (connection) => {
        const done = async (action: string, words: string): Promise<string> => {
          await note(connection, COMMAND_LINE, { action, detail: name })
          return words
        }
        if (command === 'list') {
          const all = await listAccounts(connection)
          return all.length === 0
            ? 'There are no accounts yet.'
            : all.map((one) => `${one.name}  ${one.role}${one.disabled ? '  shut out' : ''}`).join('\n')
        }
        if (command === 'link') {
          const link = `http://127.0.0.1:${process.env['PORT'] || 4870}${await makeLink(connection)}`
          return done(
            'made a link for this machine',
            `Open once, today, at the port where Brannik is: ${link}`,
          )
        }
        if (command === 'add') {
          const account = checked(
            readDocument(newAccountSchema, { name, role: values.role ?? 'owner', ...wanted }),
          )
          const made = await addAccount(connection, account)
          return done('made an account', `${made.name} is in as ${made.role}.`)
        }
        const id = await idOf(connection, name)
        if (command === 'unlock')
          return (await unlock(connection, name))
            ? done('unlocked an account', `${name} may try again at once.`)
            : `${name} has nothing to wait for.`
        if (command === 'remove') {
          await removeAccount(connection, id)
          return done('took an account away', `${name} is taken away.`)
        }
        const change = command === 'role' ? { role: values.role } : wanted
        await changeAccount(connection, id, checked(readDocument(changedAccountSchema, change)))
        await closeSessionsOf(connection, id)
        return done('changed an account', `${name} is changed and signs in anew.`)
      },
      authorOf(COMMAND_LINE),
    )
  } finally {
    await database.end()
  }
}

run().then(
  (words) => process.stdout.write(`${words}\n`),
  (error: unknown) => {
    process.stderr.write(`${remedyFor(error)}\n`)
    process.exitCode = 1
  },
)
