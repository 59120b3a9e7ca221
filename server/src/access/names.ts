/** Names of accounts and tokens: what may be one, and that none looks like another. Identities they are not. */
import unhomoglyph from 'unhomoglyph'
import { z } from 'zod'
import type { Connection, Database } from '../database.ts'
import { properties } from '../faults.ts'
import { Problem } from '../problems.ts'

/** What stands in the history for those who have no account. */
const RESERVED = [
  'this machine',
  'command line',
  'nobody',
  'Brannik',
  'the program itself',
  'the demo',
  'before history was kept',
]
/** Controls, direction marks, joiners, fillers, and every blank that is not a plain space. */
const UNSEEN = /[\p{C}\p{Default_Ignorable_Code_Point}\u2800]|[^\S ]/u

/**
 * What a name looks like, in any case: Unicode's confusable characters folded (UTS #39, Confusable Detection). Folded
 * before and after the change of case, for a letter may look like another in one case alone.
 */
export function looksOf(name: string): readonly string[] {
  const plain = name.normalize('NFKC').replaceAll(/\s+/g, ' ')
  return [...new Set([unhomoglyph(plain).toLowerCase(), unhomoglyph(plain.toLowerCase())])]
}
const RESERVED_LOOKS = new Set(RESERVED.flatMap(looksOf))

export const actorNameSchema = z
  .string()
  .transform((name) => name.normalize('NFC').trim())
  .pipe(
    z
      .string()
      .min(1, 'is empty; write a name')
      .max(80, 'is longer than 80 characters; shorten it')
      .refine((name) => !UNSEEN.test(name), 'has a character that nobody can see; type it anew')
      .refine((name) => !/ {2}/.test(name), 'has two spaces beside each other; leave one out')
      .refine((name) => /[\p{L}\p{N}]/u.test(name), 'has no letter and no digit; write a name')
      .refine(
        (name) => !looksOf(name).some((looks) => RESERVED_LOOKS.has(looks)),
        'is what Brannik calls those who have no account; choose another',
      ),
  )

type Bearer = { readonly accountId: string } | { readonly tokenId: string }
const TAKE = `insert into taken_name (looks, account_id, token_id) select looks, $2, $3 from unnest($1::text[]) as looks`
const MISSING = `select id, name, true as "isAccount" from account
    where not exists (select 1 from taken_name where account_id = account.id)
  union all select id, name, false from api_token
    where revoked_at is null and not exists (select 1 from taken_name where token_id = api_token.id)`

const isTaken = (error: unknown): boolean =>
  properties(error).code === '23505' && properties(error).table === 'taken_name'

/** @throws Problem where an account or a token is called so, or so that it looks the same */
export async function takeName(connection: Connection, name: string, bearer: Bearer): Promise<void> {
  const accountId = 'accountId' in bearer ? bearer.accountId : null
  const tokenId = 'tokenId' in bearer ? bearer.tokenId : null
  try {
    await connection.query(TAKE, [looksOf(name), accountId, tokenId])
  } catch (error) {
    if (!isTaken(error)) throw error
    throw new Problem(
      409,
      'The name is taken',
      `There is already an account or a program called “${name}”, or so that it looks the same. Choose another name.`,
    )
  }
}

/** Names given out before this was looked at; two that look alike both stay, and the first one holds it. */
export async function takeOldNames(connection: Pick<Database, 'query'>): Promise<void> {
  const { rows } = await connection.query<{ id: string; name: string; isAccount: boolean }>(MISSING)
  for (const { id, name, isAccount } of rows)
    await connection.query(`${TAKE} on conflict do nothing`, [
      looksOf(name),
      isAccount ? id : null,
      isAccount ? null : id,
    ])
}
