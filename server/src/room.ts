/**
 * Room on the disk of the database. PostgreSQL stops where it cannot write its journal, and then nobody reads either: so
 * writes are refused a little before that, and reads go on.
 */
import { statfs } from 'node:fs/promises'
import type { RequestHandler } from 'express'
import { isWrite } from './access/guard.ts'
import { LIMITS } from './limits.ts'
import { Problem } from './problems.ts'

export interface Room {
  /** Bytes that are left; null where the disk is not this machine's, or nobody has looked yet. */
  readonly freeBytes: () => number | null
  readonly close: () => void
}

export const UNKNOWN_ROOM: Room = { freeBytes: () => null, close: () => undefined }

/** Looks now and then. @param folder on the disk of the database */
export function watchRoom(folder: string): Room {
  let free: number | null = null
  const look = (): void => {
    statfs(folder).then(
      ({ bavail, bsize }) => (free = bavail * bsize),
      () => (free = null),
    )
  }
  look()
  const timer = setInterval(look, LIMITS.lookForRoomMs).unref()
  return { freeBytes: () => free, close: () => clearInterval(timer) }
}

export const isTight = (room: Room): boolean => (room.freeBytes() ?? Infinity) < LIMITS.tightBytes

const full = (freeBytes: number): Problem =>
  new Problem(
    507,
    'The disk is nearly full',
    `The disk of the database has ${Math.round(freeBytes / 1e6)} MB left. Nothing was stored, so that what is there can still be read. Free some space; what you typed stays in your browser and is saved then.`,
    { retryAfterS: 30 },
  )

/** @returns refuses what writes while there is hardly room for it */
export const onlyWithRoom =
  (room: Room): RequestHandler =>
  (request, _response, next) => {
    const free = room.freeBytes() ?? Infinity
    // A fit stores nothing, and who may look must be able to come in.
    const isSmall = request.path === '/fit' || request.path.startsWith('/sign-')
    next(isWrite(request) && !isSmall && free < LIMITS.leastBytes ? full(free) : undefined)
  }
