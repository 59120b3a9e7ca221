/**
 * The log as a file that never holds the server up: what a full disk does not take is dropped and counted, and the first
 * line that it takes again says how many were.
 */
import { close, mkdirSync, open, write } from 'node:fs'
import { dirname } from 'node:path'

/** What may wait to be written, bytes. */
const MOST_WAITING = 4_000_000
/** After a failure the file is opened again, no sooner than this. */
const AGAIN_MS = 1000

export class LogFile {
  readonly #path: string
  readonly #againMs: number
  #fd: number | null = null
  #waiting: string[] = []
  #waitingBytes = 0
  #isBusy = false
  #dropped = 0
  #failedAt = Number.NEGATIVE_INFINITY
  #whenDone: (() => void)[] = []

  /** @param againMs how long after a failure the next try comes at the earliest */
  constructor(path: string, againMs: number = AGAIN_MS) {
    this.#path = path
    this.#againMs = againMs
  }

  /** Lines that were not written since the server began. */
  get dropped(): number {
    return this.#dropped
  }
  #told = 0

  /** A line with its end, as pino gives it. */
  write(line: string): void {
    const isResting = performance.now() - this.#failedAt < this.#againMs
    if (isResting || this.#waitingBytes > MOST_WAITING) {
      this.#dropped += 1
      return
    }
    this.#waiting.push(line)
    this.#waitingBytes += line.length
    this.#next()
  }

  /** Calls back when all that was given is written or dropped. */
  flush(done: () => void): void {
    this.#whenDone.push(done)
    this.#next()
  }

  #next(): void {
    if (this.#isBusy) return
    if (this.#waiting.length === 0) {
      for (const done of this.#whenDone.splice(0)) done()
      return
    }
    this.#isBusy = true
    const lines = this.#waiting.splice(0)
    this.#waitingBytes = 0
    const told = this.#dropped
    const lost =
      told > this.#told
        ? `${JSON.stringify({ level: 50, time: Date.now(), msg: `${told - this.#told} lines of this log were lost: it could not be written` })}\n`
        : ''
    this.#opened((fd) => {
      this.#writeAll(fd, Buffer.from(lost + lines.join('')), (error) => {
        this.#isBusy = false
        if (error) this.#failed(lines.length)
        else this.#told = told
        this.#next()
      })
    }, lines.length)
  }

  #failed(lines: number): void {
    this.#dropped += lines
    this.#failedAt = performance.now()
    const fd = this.#fd
    this.#fd = null
    if (fd !== null) close(fd, () => undefined)
  }

  #opened(use: (fd: number) => void, lines: number): void {
    if (this.#fd !== null) {
      use(this.#fd)
      return
    }
    try {
      mkdirSync(dirname(this.#path), { recursive: true })
    } catch {
      // The opening says it.
    }
    open(this.#path, 'a', 0o640, (error, fd) => {
      if (error) {
        this.#isBusy = false
        this.#failed(lines)
        this.#next()
        return
      }
      this.#fd = fd
      use(fd)
    })
  }

  #writeAll(fd: number, bytes: Buffer, done: (error: Error | null) => void): void {
    write(fd, bytes, (error, written) => {
      if (error) done(error)
      else if (written < bytes.length) this.#writeAll(fd, bytes.subarray(written), done)
      else done(null)
    })
  }
}
