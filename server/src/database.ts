/** The connection pool, and one transaction a request. */
import pg from 'pg'

export type Database = pg.Pool
export type Connection = pg.PoolClient

export function openDatabase(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 8, connectionTimeoutMillis: 4000 })
  // A connection that dies idle is replaced at the next query; without a listener it would end the process.
  pool.on('error', () => undefined)
  return pool
}

/** Runs work in one transaction: all of it, or nothing. */
export async function inTransaction<T>(
  database: Database,
  work: (connection: Connection) => Promise<T>,
): Promise<T> {
  const connection = await database.connect()
  let broken: Error | undefined
  try {
    await connection.query('begin')
    const result = await work(connection)
    await connection.query('commit')
    return result
  } catch (error) {
    await connection.query('rollback').catch((reason: unknown) => {
      broken = reason instanceof Error ? reason : new Error('rollback failed')
    })
    throw error
  } finally {
    connection.release(broken)
  }
}
