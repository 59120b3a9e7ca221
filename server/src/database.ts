/** The connection pool, and one transaction a request: retried where it may be, honest where its end is unknown. */
import pg from 'pg'
import { LIMITS } from './limits.ts'
import { isCollision, isNoDatabase } from './faults.ts'
import { Problem } from './problems.ts'

/** For looking; what writes has connections of its own. */
export interface Database extends pg.Pool {
  readonly writers: pg.Pool
}
export type Connection = pg.PoolClient

/** Whose writes these are, for the history: a name of the day, and who that is. */
export interface Author {
  readonly who: string
  /** Of the account or the token. */
  readonly id: string | null
  readonly kind: 'account' | 'token' | 'this machine' | 'command line' | null
}

function openPool(url: string, max: number, onLost: (error: Error) => void): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max,
    connectionTimeoutMillis: LIMITS.connectMs,
    statement_timeout: LIMITS.statementMs,
    lock_timeout: LIMITS.lockMs,
    idle_in_transaction_session_timeout: LIMITS.idleInTransactionMs,
    query_timeout: LIMITS.silentDatabaseMs,
    idleTimeoutMillis: 30_000,
    keepAlive: true,
  })
  // A connection that dies, idle or in use, fails what waits for it and is replaced at the next query; an error event
  // without a listener would end the process.
  pool.on('error', onLost)
  pool.on('connect', (client) => {
    client.on('error', () => undefined)
  })
  return pool
}

/** @param onLost told of every idle connection that dies; one in use is told by the request that it fails */
export function openDatabase(url: string, onLost: (error: Error) => void = () => undefined): Database {
  const writers = openPool(url, LIMITS.writeConnections, onLost)
  const readers = openPool(url, LIMITS.readConnections, onLost)
  const endReaders = readers.end.bind(readers) as () => Promise<void>
  const end = async (): Promise<void> => {
    await Promise.all([endReaders(), writers.end()])
  }
  return Object.assign(readers, { writers, end: end as typeof readers.end })
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
const MOST_COLLISIONS = 8

/** The end of a transaction is unknown: the database may have it or not. */
class UnknownOutcome extends Problem {
  constructor() {
    super(
      503,
      'Not known whether it was stored',
      'The database went away in the moment of storing. Send the same request again with the same Idempotency-Key: what was stored is then answered, and nothing is stored twice.',
      { extra: { outcome: 'unknown' }, retryAfterS: 1 },
    )
  }
}

interface Attempt<T> {
  /** Whether the work may be done again after its connection was lost: it changes nothing, or knows itself again. */
  readonly canAskAgain: boolean
  /** `mark.atCommit` says whether the last word was on its way when it failed. */
  run(connection: Connection, mark: { atCommit: boolean }): Promise<T>
}

/** With a connection of the pool, which gets a new one where this one is broken. */
async function connected<T>(database: pg.Pool, work: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = await database.connect()
  let broken: Error | undefined
  try {
    return await work(connection)
  } catch (error) {
    if (isNoDatabase(error)) broken = error instanceof Error ? error : new Error('connection lost')
    throw error
  } finally {
    connection.release(broken)
  }
}

/**
 * Collisions of transactions begin again; so does a lost connection, where the work may be asked again.
 * @throws UnknownOutcome where the connection was lost while storing and the database has not come back
 */
async function persistently<T>(database: pg.Pool, { canAskAgain, run }: Attempt<T>): Promise<T> {
  const until = performance.now() + LIMITS.askAgainMs
  let isUnknown = false
  for (let attempt = 1; ; attempt += 1) {
    const mark = { atCommit: false }
    try {
      return await connected(database, (connection) => run(connection, mark))
    } catch (error) {
      const isLost = isNoDatabase(error)
      if (isLost && mark.atCommit) isUnknown = true
      const again =
        (isCollision(error) && attempt < MOST_COLLISIONS) ||
        (isLost && canAskAgain && performance.now() < until)
      if (again) {
        await pause(Math.random() * 30 * 2 ** Math.min(attempt, 5))
        continue
      }
      throw isUnknown ? new UnknownOutcome() : error
    }
  }
}

const SAYING = (name: string, value: string | null): string =>
  `set_config('brannik.${name}', ${pg.escapeLiteral(value ?? '')}, true)`
const sayingWho = ({ who, id, kind }: Author): string =>
  `; select ${SAYING('who', who)}, ${SAYING('actor_id', id)}, ${SAYING('actor_kind', kind)}`

/** One transaction: all of it, or nothing. */
const transaction =
  <T>(author: Author | undefined, work: (connection: Connection) => Promise<T>): Attempt<T>['run'] =>
  async (connection, mark) => {
    try {
      await connection.query(`begin${author === undefined ? '' : sayingWho(author)}`)
      const result = await work(connection)
      mark.atCommit = true
      await connection.query('commit')
      return result
    } catch (error) {
      if (!isNoDatabase(error)) await connection.query('rollback')
      throw error
    }
  }

/** For what only looks, statement by statement: asked again when its connection was lost. */
export const reading = <T>(database: Database, work: (connection: Connection) => Promise<T>): Promise<T> =>
  persistently(database, { canAskAgain: true, run: work })

/** For writes that know themselves again by a key, see `stores/answers.ts`. */
export const writingOnce = <T>(
  database: Database,
  author: Author,
  work: (connection: Connection) => Promise<T>,
): Promise<T> => persistently(database.writers, { canAskAgain: true, run: transaction(author, work) })

/** For writes that do not: after a lost connection they are not tried again. */
export const inTransaction = <T>(
  database: Database,
  work: (connection: Connection) => Promise<T>,
  author?: Author,
): Promise<T> => persistently(database.writers, { canAskAgain: false, run: transaction(author, work) })

/** For looking at everything as it stands at one moment, piece by piece: what has been sent cannot be begun again. */
export const readingAtOnce = <T>(
  database: Database,
  work: (connection: Connection) => Promise<T>,
): Promise<T> =>
  persistently(database, {
    canAskAgain: false,
    run: transaction(undefined, async (connection) => {
      await connection.query('set transaction isolation level repeatable read read only')
      return work(connection)
    }),
  })
