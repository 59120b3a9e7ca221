/**
 * Listens to the database for changes, made by whichever server, and passes them on to those who wait for them. Whoever
 * says up to where it has heard is first told what it missed.
 */
import pg from 'pg'
import { LIMITS } from './limits.ts'
import { type Change, changeSchema, changesSince, positionNow } from './stores/changeLog.ts'

const CHANNEL = 'brannik_change'
/** Who is no longer let in: `session …`, `token …`, `account …`. */
const DOOR_CHANNEL = 'brannik_door'
/** How the database lists the connection. */
export const LISTENER = 'brannik listens for changes'

/** A change; `lost` where some were missed and nobody knows which; up to where everything has been told. */
export type ChangeEvent = Change | 'lost' | { readonly position: string }

export interface Changes {
  /**
   * @param since up to where the listener has heard already; null where it begins now
   * @returns ends it
   */
  listen(tell: (told: ChangeEvent) => void, since: string | null): () => void
  /** @param shut told what no longer lets anybody in; null where it may have been missed */
  onDoor(shut: (door: string | null) => void): void
  close(): Promise<void>
}

interface Listener {
  readonly tell: (told: ChangeEvent) => void
  position: string | null
}

const AGAIN_MS = 1000

/**
 * Connects when the first one listens, with a connection of its own: those of the pool come and go.
 * @param onLost told of every connection that is lost
 */
export function watchChanges(databaseUrl: string, onLost: (error: unknown) => void): Changes {
  const listeners = new Set<Listener>()
  let client: pg.Client | null = null
  let isListening = false
  let again: NodeJS.Timeout | null = null
  let isClosed = false
  let wasLost = false
  let shut: (door: string | null) => void = () => undefined
  /** A notice may still be on its way when the database names a position: it is passed on one beat later. */
  let nextPosition: string | null = null

  function lost(connection: pg.Client, error: unknown): void {
    if (client !== connection) return
    client = null
    isListening = false
    wasLost = true
    nextPosition = null
    void connection.end().catch(() => undefined)
    if (isClosed) return
    onLost(error)
    again = setTimeout(() => {
      again = null
      void connect()
    }, AGAIN_MS)
    again.unref()
  }

  const advance = (listener: Listener, position: string): void => {
    listener.position = position
    listener.tell({ position })
  }

  async function catchUp(connection: pg.Client, listener: Listener): Promise<void> {
    try {
      const { position, changes } = await changesSince(connection, listener.position)
      if (client !== connection || !listeners.has(listener)) return
      if (changes === null) listener.tell('lost')
      else changes.forEach(listener.tell)
      advance(listener, position)
    } catch (error) {
      lost(connection, error)
    }
  }

  async function connect(): Promise<void> {
    const connection = new pg.Client({
      connectionString: databaseUrl,
      application_name: LISTENER,
      connectionTimeoutMillis: LIMITS.connectMs,
      keepAlive: true,
    })
    client = connection
    connection.on('notification', ({ channel, payload }) => {
      if (channel === DOOR_CHANNEL) {
        shut(payload ?? null)
        return
      }
      const read = changeSchema.safeParse(JSON.parse(payload ?? 'null'))
      if (read.success) for (const { tell } of listeners) tell(read.data)
    })
    connection.on('error', (error) => {
      lost(connection, error)
    })
    connection.on('end', () => {
      lost(connection, new Error('the connection that listens for changes ended'))
    })
    try {
      await connection.connect()
      await connection.query(`listen ${CHANNEL}; listen ${DOOR_CHANNEL}`)
    } catch (error) {
      lost(connection, error)
      return
    }
    isListening = true
    // Those who were shut out while nobody listened come again, and are asked who they are.
    if (wasLost) shut(null)
    wasLost = false
    await Promise.all([...listeners].map((listener) => catchUp(connection, listener)))
  }

  async function beat(): Promise<void> {
    const connection = client
    if (!connection || !isListening || listeners.size === 0) return
    try {
      const position = await positionNow(connection)
      if (client !== connection) return
      if (nextPosition !== null) for (const listener of listeners) advance(listener, nextPosition)
      nextPosition = position
    } catch (error) {
      lost(connection, error)
    }
  }
  const beats = setInterval(() => void beat(), LIMITS.changeBeatMs)
  beats.unref()

  return {
    listen(tell, since) {
      const listener: Listener = { tell, position: since }
      listeners.add(listener)
      if (client && isListening) void catchUp(client, listener)
      else if (!client && !again && !isClosed) void connect()
      return () => listeners.delete(listener)
    },
    onDoor: (listener) => void (shut = listener),
    async close() {
      isClosed = true
      clearInterval(beats)
      if (again) clearTimeout(again)
      const ending = client
      client = null
      await ending?.end().catch(() => undefined)
    },
  }
}
