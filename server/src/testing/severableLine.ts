/** For tests: a line between the server and its database that can be cut, frozen, or cut just when a commit is answered. */
import { connect, createServer, type Server, type Socket } from 'node:net'

type Mode = 'through' | 'frozen' | 'no-answer-to-commit'

export interface SeverableLine {
  readonly url: string
  /** Cuts every connection that there is. */
  cut(): void
  set(mode: Mode): void
  /** Waits until the answer to a commit is lost. */
  answerLost(): Promise<void>
  /** Nobody answers at all any more. */
  close(): Promise<void>
}

const SAYS_COMMIT = /commit/i

/** @param databaseUrl where the line leads */
export async function startLine(databaseUrl: string): Promise<SeverableLine> {
  const target = new URL(databaseUrl)
  const pairs = new Set<readonly [Socket, Socket]>()
  let mode: Mode = 'through'
  let tellLost: () => void = () => undefined
  const server: Server = createServer((near) => {
    const far = connect(Number(target.port), target.hostname)
    const pair = [near, far] as const
    pairs.add(pair)
    let isCommitting = false
    const end = (): void => {
      near.destroy()
      far.destroy()
      pairs.delete(pair)
    }
    near.on('data', (chunk) => {
      if (mode === 'frozen') return
      isCommitting = SAYS_COMMIT.test(chunk.toString('latin1'))
      far.write(chunk)
    })
    far.on('data', (chunk) => {
      if (mode === 'frozen') return
      // The database has stored it, and its word is lost on the way.
      if (mode === 'no-answer-to-commit' && isCommitting) {
        end()
        tellLost()
      } else near.write(chunk)
    })
    for (const socket of pair) {
      socket.on('close', end)
      socket.on('error', end)
    }
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const address = server.address()
  if (typeof address !== 'object' || !address) throw new Error('no port')
  const url = new URL(databaseUrl)
  url.hostname = '127.0.0.1'
  url.port = `${address.port}`
  const cut = (): void => {
    for (const [near, far] of pairs) {
      near.destroy()
      far.destroy()
    }
    pairs.clear()
  }
  return {
    url: url.href,
    cut,
    set: (next) => (mode = next),
    answerLost: () => new Promise((resolve) => (tellLost = resolve)),
    async close() {
      cut()
      await new Promise((resolve) => server.close(resolve))
    },
  }
}
