/** A disk that fills: the log drops lines instead of holding the server, writes are refused before the database stops. */
import { mkdtemp, readFile, rm, symlink, unlink } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LIMITS } from './limits.ts'
import { LogFile } from './logFile.ts'
import { watchRoom } from './room.ts'
import { startTestServer } from './testing.ts'

let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'brannik-room-'))
})
afterAll(() => rm(folder, { recursive: true, force: true }))

const flushed = (log: LogFile): Promise<void> => new Promise((resolve) => log.flush(resolve))
const linesOf = async (file: string): Promise<{ readonly msg: string }[]> =>
  (await readFile(file, 'utf8'))
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { msg: string })

describe('the log', () => {
  it('has every line in its order, behind what is there already', async () => {
    const file = join(folder, 'made/brannik.log')
    for (const round of [0, 1]) {
      const log = new LogFile(file)
      const logger = pino({}, log)
      for (let line = 0; line < 500; line += 1) logger.info(`line ${round * 500 + line} ünïcode ✓`)
      await flushed(log)
      expect(log.dropped).toBe(0)
    }
    const lines = await linesOf(file)
    expect(lines.map(({ msg }) => msg)).toEqual(
      Array.from({ length: 1000 }, (_, line) => `line ${line} ünïcode ✓`),
    )
  })

  it('that a full disk does not take is dropped and counted, and goes on when there is room', async () => {
    const [file, real] = [join(folder, 'full.log'), join(folder, 'real.log')]
    // The device that is always full.
    await symlink('/dev/full', file)
    const log = new LogFile(file, 0)
    const logger = pino({}, log)
    for (let line = 0; line < 300; line += 1) {
      logger.info('nobody reads this')
      if (line % 100 === 0) await flushed(log)
    }
    await flushed(log)
    expect(log.dropped).toBe(300)
    await unlink(file)
    await symlink(real, file)
    logger.info('there is room')
    await flushed(log)
    logger.info('and still')
    await flushed(log)
    expect((await linesOf(real)).map(({ msg }) => msg)).toEqual([
      '300 lines of this log were lost: it could not be written',
      'there is room',
      'and still',
    ])
    expect(log.dropped).toBe(300)
  })

  it('keeps no more waiting than it may while the disk rests', async () => {
    const log = new LogFile('/dev/full', 60_000)
    log.write('x\n')
    await flushed(log)
    for (let line = 0; line < 100; line += 1) log.write('y\n')
    expect(log.dropped).toBe(101)
  })
})

describe('the disk of the database', () => {
  it('is read from, and not written to, when it is nearly full; and written to again when there is room', async () => {
    let free = LIMITS.leastBytes - 1
    const room = { freeBytes: () => free, close: () => undefined }
    const server = await startTestServer({ room })
    const { record } = (await server.call('GET', '/api/jobs/press-frame')).body
    const save = () => server.call('PUT', '/api/jobs/press-frame', record, { 'If-Match': server.etag(1) })
    const refused = await save()
    expect(refused.status).toBe(507)
    expect(refused.body.detail).toMatch(/105 MB left.*Free some space/)
    expect(refused.headers.get('retry-after')).toBe('30')
    expect((await server.call('GET', '/api/jobs')).status).toBe(200)
    expect((await server.call('GET', '/api/ready')).body).toMatchObject({ ready: true, disk: 'nearly full' })
    expect((await server.call('GET', '/api/backups')).body.isDiskTight).toBe(true)
    expect((await server.call('POST', '/api/fit', {})).status).toBe(422)
    free = LIMITS.leastBytes
    expect((await save()).status).toBe(200)
    expect((await server.call('GET', '/api/ready')).body.disk).toBe('nearly full')
    free = LIMITS.tightBytes
    expect((await server.call('GET', '/api/ready')).body.disk).toBe('has room')
    await server.close()
  })

  it('is looked at by itself', async () => {
    const room = watchRoom(folder)
    await expect.poll(() => room.freeBytes()).toBeGreaterThan(0)
    room.close()
    const nowhere = watchRoom(join(folder, 'not there'))
    nowhere.close()
    expect(nowhere.freeBytes()).toBeNull()
  })
})
