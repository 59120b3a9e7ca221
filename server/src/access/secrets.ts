/** Secrets: made at random, kept as hashes; passwords by argon2id. */
import { createHash, randomBytes } from 'node:crypto'
import { hash, verify } from '@node-rs/argon2'

/** 256 bits, as text that a header and a cookie take. */
export const newSecret = (prefix: string): string => `${prefix}${randomBytes(32).toString('base64url')}`

/** A random secret cannot be guessed, so a plain hash keeps it. */
export const hashOfSecret = (secret: string): Buffer => createHash('sha256').update(secret).digest()

/** OWASP Password Storage Cheat Sheet, argon2id: 19 MiB, 2 passes, 1 lane (from memory). */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const

/** One password, however a keyboard composes its letters (NIST SP 800-63B: NFKC or NFKD before hashing; from memory). */
const composed = (password: string): string => password.normalize('NFKC')

export const hashOfPassword = (password: string): Promise<string> => hash(composed(password), ARGON2ID)

/** The hash of a password that nobody knows: a name that is not there takes as long as one that is. */
const nobodysHash = hashOfPassword(randomBytes(16).toString('hex'))

/** @param passwordHash null for an account that is not there: the answer is no, after the same time */
export async function isPassword(password: string, passwordHash: string | null): Promise<boolean> {
  const isRight = await verify(passwordHash ?? (await nobodysHash), composed(password))
  return passwordHash !== null && isRight
}
