/** Why a start or a command failed, in words with the remedy: never a stack of calls for what the reader can mend. */
import { properties } from './faults.ts'
import { Problem } from './problems.ts'

const BY_CODE: Readonly<Record<string, string>> = {
  EADDRINUSE: 'The port is taken. Set PORT to another, or stop the program that holds it.',
  EADDRNOTAVAIL: 'This machine has no such address. Set HOST to one of its own, or leave it out.',
  EACCES: 'This user may not do that. Choose a port above 1023, or a folder of your own.',
  ECONNREFUSED: 'The database does not answer. Check DATABASE_URL, or leave it unset and run npm start.',
  ENOTFOUND: 'The host of DATABASE_URL is not known. Check its spelling and the network.',
  EAI_AGAIN: 'The host of DATABASE_URL is not known. Check its spelling and the network.',
  ETIMEDOUT: 'The host of DATABASE_URL does not answer. Check its address and the network.',
  ENOSPC: 'The disk is full. Free some space and start again.',
  EROFS: 'The disk can only be read. Choose another place.',
  '28P01': 'The password in DATABASE_URL is not right. Correct it and start again.',
  '28000': 'The user of DATABASE_URL may not come in. Check its name, and what pg_hba.conf says.',
  '3D000': 'There is no such database. Make it (createdb), or correct the name in DATABASE_URL.',
  '42501': 'The user of DATABASE_URL may not do that. Give it the rights of the database’s owner.',
  '53100': 'The disk of the database is full. Free some space and start again.',
  '53300': 'The database has no connection left. Close others, or raise max_connections.',
  '57P03': 'The database is starting or recovering. Wait a moment and start again.',
}

/** Faults that the words above explain; of all others the whole error is worth seeing. */
export function remedyFor(error: unknown): string {
  const { code, message } = properties(error)
  if (/timeout exceeded when trying to connect/.test(message))
    return 'The database does not answer in time. Check DATABASE_URL and the network.'
  const remedy = BY_CODE[code]
  if (remedy !== undefined) return `${message || code}\n${remedy}`
  if (error instanceof Problem) return error.message
  if (error instanceof Error && error.constructor === Error) return `${message}.`.replace(/\.\.$/, '.')
  return error instanceof Error ? (error.stack ?? message) : String(error)
}
