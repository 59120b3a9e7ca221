/** Listens to the database for changes, made by whichever server, and passes them on to those who wait for them. */
import pg from 'pg'
import { z } from 'zod'
import { LIMITS } from './limits.ts'

const CHANNEL = 'brannik_change'
const changeSchema = z.object({
  kind: z.string(),
  /** Absent where very many changed at once. */
  id: z.string().optional(),
  /** 0: it was deleted. */
  version: z.number().int().optional(),
})
export type Change = z.infer<typeof changeSchema>

/** `lost` where changes may have been missed: whoever shows records asks for all of them again. */
export type Told = Change | 'lost'

export interface Changes {
  /** @returns ends it */
  listen(tell: (told: Told) => void): () => void
  close(): Promise<void>
}

const AGAIN_MS = 1000

/**
 * Connects when the first one listens, with a connection of its own: those of the pool come and go.
 * @param onLost told of every connection that is lost
 */
export function watchChanges(databaseUrl: string, onLost: (error: unknown) => void): Changes {
  const listeners = new Set<(told: Told) => void>()
  let client: pg.Client | null = null
  let again: NodeJS.Timeout | null = null
  let isClosed = false
  const tell = (told: Told): void => {
    for (const listener of listeners) listener(told)
  }

  async function connect(isFirst: boolean): Promise<void> {
    const connection = new pg.Client({
      connectionString: databaseUrl,
      connectionTimeoutMillis: LIMITS.connectMs,
      keepAlive: true,
    })
    client = connection
    connection.on('notification', ({ payload }) => {
      const read = changeSchema.safeParse(JSON.parse(payload ?? 'null'))
      if (read.success) tell(read.data)
    })
    const retry = (error: unknown): void => {
      if (client !== connection) return
      client = null
      void connection.end().catch(() => undefined)
      if (isClosed) return
      onLost(error)
      again = setTimeout(() => void connect(false), AGAIN_MS)
      again.unref()
    }
    connection.on('error', retry)
    connection.on('end', () => {
      retry(new Error('the connection that listens for changes ended'))
    })
    try {
      await connection.connect()
      await connection.query(`listen ${CHANNEL}`)
      if (!isFirst) tell('lost')
    } catch (error) {
      retry(error)
    }
  }

  return {
    listen(listener) {
      listeners.add(listener)
      if (!client && !again && !isClosed) void connect(true)
      return () => listeners.delete(listener)
    },
    async close() {
      isClosed = true
      if (again) clearTimeout(again)
      const ending = client
      client = null
      await ending?.end().catch(() => undefined)
    },
  }
}
