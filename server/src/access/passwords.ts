/**
 * What may be a password. NIST SP 800-63B-4, 3.1.1.2: at least 15 characters where it is all that is asked, at least 64
 * allowed, no rules of composition, none that is common or expected (clause from memory).
 */
import type { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { z } from 'zod'
import { invalid } from '../problems.ts'

export const passwordSchema = z
  .string()
  .min(15, 'is shorter than 15 characters; three or four words make a good one')
  .max(200, 'is longer than 200 characters; shorten it')
  .refine((password) => password.trim() !== '', 'is nothing but blanks; write a few words')

/** So many tries it must take at least: what slow hashing makes hopeless even for who has the hashes. */
const LEAST_GUESSES = 1e10

/** The lists of common passwords are megabytes; they are read when the first password is set. */
let judge: Promise<ZxcvbnFactory> | null = null
async function load(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory: Factory }, { adjacencyGraphs, dictionary }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ])
  return new Factory({ dictionary, graphs: adjacencyGraphs })
}

/**
 * @param field of the password in what was sent
 * @param expected what a stranger tries first: the name of the account, of the shop
 * @throws Problem 422 where it is common, or made of what is expected
 */
export async function mustBeHardToGuess(
  password: string,
  field: string,
  expected: readonly string[],
): Promise<void> {
  judge ??= load()
  const words = [...expected, ...expected.flatMap((one) => one.split(/\s+/)), 'brannik']
  if ((await judge).check(password, words).guesses >= LEAST_GUESSES) return
  const message = 'is easy to guess: it is common, repeats itself, or is your name; write three or four words'
  throw invalid([{ pointer: `/${field}`, field, message }])
}
