/**
 * A small service that plays an arc monitor: readings of a simulated weld over WebSocket, a batch ten times a second,
 * each with its number. Whoever comes back says after which number, and gets what was missed.
 */
import { randomLcg } from 'd3-random'
import { WebSocketServer } from 'ws'
import { type Incident, INCIDENTS, type Reading, SAMPLES_PER_S, simulatedWeld } from './simulatedWeld.ts'

export { INCIDENTS, type Reading, SAMPLES_PER_S, simulatedWeld } from './simulatedWeld.ts'

const BATCHES_PER_S = 10
const PER_BATCH = SAMPLES_PER_S / BATCHES_PER_S
/** One in twenty is lost where a bad line is played. */
const LOST_SHARE = 0.05
/** Half an hour is kept for those who come back. */
const KEPT = 30 * 60 * BATCHES_PER_S

export interface Batch {
  /** Of one start of the monitor: numbers of another mean nothing here. */
  readonly session: string
  /** Rises by one: where it does not, one was lost on the way. */
  readonly seq: number
  /** Of the first reading, s since the monitor began. */
  readonly atS: number
  readonly samplesPerS: number
  readonly readings: readonly Reading[]
}

interface Settings {
  readonly seed?: number
  readonly incident?: Incident
  /** How much faster than life: tests have no time. */
  readonly pace?: number
  /** Share of batches that is lost on the way, 0 to 1. */
  readonly lost?: number
}

export interface ArcMonitor {
  readonly url: string
  close(): Promise<void>
}

const incidentOf = (text: string | null, otherwise: Incident): Incident =>
  INCIDENTS.find((one) => one === text) ?? otherwise

/** One simulated weld: it begins when somebody first looks, and is kept for those who come back. */
class Stream {
  private readonly batches: Batch[] = []
  private readonly weld: ReturnType<typeof simulatedWeld>
  private seq = 0
  private readonly session = Date.now().toString(36)

  constructor(seed: number, incident: Incident) {
    this.weld = simulatedWeld(seed, incident)
  }

  make(): Batch {
    const readings = Array.from({ length: PER_BATCH }, () => this.weld.next().value)
    this.seq += 1
    const batch = {
      session: this.session,
      seq: this.seq,
      atS: (this.seq - 1) / BATCHES_PER_S,
      samplesPerS: SAMPLES_PER_S,
      readings,
    }
    this.batches.push(batch)
    if (this.batches.length > KEPT) this.batches.shift()
    return batch
  }

  after(seq: number): readonly Batch[] {
    const first = this.batches[0]?.seq ?? 1
    return this.batches.slice(Math.max(0, seq + 1 - first))
  }
}

/**
 * Starts the monitor on a free port of this machine.
 * `?after=SEQ` goes on after a batch, `?incident=…` chooses what goes wrong.
 */
export function startArcMonitor({
  seed = 7,
  incident = 'none',
  pace = 1,
  lost = 0,
}: Settings = {}): Promise<ArcMonitor> {
  const streams = new Map<Incident, Stream>()
  const streamOf = (which: Incident): Stream => {
    const known = streams.get(which)
    if (known) return known
    const made = new Stream(seed, which)
    streams.set(which, made)
    return made
  }
  const chance = randomLcg(seed / 1000)
  const server = new WebSocketServer({ host: '127.0.0.1', port: 0 })
  const listeners = new Map<Stream, Set<(batch: Batch) => void>>()
  const clock = setInterval(
    () => {
      for (const [stream, heard] of listeners) {
        if (heard.size === 0) continue
        const batch = stream.make()
        for (const tell of heard) tell(batch)
      }
    },
    1000 / BATCHES_PER_S / pace,
  )
  server.on('connection', (socket, request) => {
    const query = new URL(request.url ?? '/', 'ws://monitor').searchParams
    const which = incidentOf(query.get('incident'), incident)
    const stream = streamOf(which)
    const after = Number(query.get('after') ?? '0')
    const share = which === 'lost-packets' ? LOST_SHARE : lost
    const send = (batch: Batch): void => {
      if (chance() >= share) socket.send(JSON.stringify(batch))
    }
    for (const batch of stream.after(Number.isSafeInteger(after) ? after : 0))
      socket.send(JSON.stringify(batch))
    const heard = listeners.get(stream) ?? new Set()
    listeners.set(stream, heard.add(send))
    socket.on('close', () => heard.delete(send))
    socket.on('error', () => heard.delete(send))
  })
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.once('listening', () => {
      const address = server.address()
      const port = typeof address === 'object' && address !== null ? address.port : 0
      resolve({
        url: `ws://127.0.0.1:${port}`,
        close: () => {
          clearInterval(clock)
          for (const client of server.clients) client.terminate()
          return new Promise((closed) => {
            server.close(() => {
              closed()
            })
          })
        },
      })
    })
  })
}
