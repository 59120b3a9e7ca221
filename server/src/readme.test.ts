import { execFile } from 'node:child_process'
import { readFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startTestServer, type TestServer } from './testing.ts'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(async () => {
  await server.close()
})

it('the example of the README runs as written and answers as it says', async () => {
  const readme = await readFile(new URL('../../README.md', import.meta.url), 'utf8')
  const example = /```sh\n(curl [\s\S]*?)```/.exec(readme)?.[1] ?? ''
  const promised = /The answer begins `(.*?)…`/.exec(readme)?.[1] ?? 'nothing promised'
  const token = await server.call('POST', '/api/tokens', { name: 'The example', role: 'guest' })
  const { stdout } = await promisify(execFile)('sh', ['-c', example], {
    cwd: ROOT,
    env: { ...process.env, BRANNIK: server.url, BRANNIK_TOKEN: token.body.secret },
    maxBuffer: 1e7,
  })
  expect(stdout.slice(0, promised.length)).toBe(promised)
})
