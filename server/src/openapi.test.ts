/** The OpenAPI document is one that others can work with: a public linter has nothing to say, a generated client works. */
import { execFile } from 'node:child_process'
import { writeFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { createConfig, lintFromString } from '@redocly/openapi-core'
import openapiTS, { astToString } from 'openapi-typescript'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { ROOT } from './root.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const CLIENT = new URL('server/client/', ROOT)
const TSC = fileURLToPath(new URL('node_modules/typescript/bin/tsc', ROOT))
const run = promisify(execFile)

it('passes the recommended rules of a linter without an error or a warning', async () => {
  const { body } = await server.call('GET', '/api/openapi.json')
  const problems = await lintFromString({
    source: JSON.stringify(body),
    absoluteRef: '/openapi.json',
    config: await createConfig({ extends: ['recommended'] }),
  })
  expect(problems.map(({ ruleId, message, location }) => [ruleId, message, location[0]?.pointer])).toEqual([])
})

it('makes a client that compiles, and does a whole job', async () => {
  const { body } = await server.call('GET', '/api/openapi.json')
  await writeFile(new URL('api.d.ts', CLIENT), astToString(await openapiTS(body)))
  const compiled = await run(process.execPath, [TSC, '-p', fileURLToPath(CLIENT)]).catch(
    ({ stdout }: { stdout: string }) => ({ stdout }),
  )
  expect(compiled.stdout).toBe('')
  const { wholeJob } = (await import(new URL('wholeJob.ts', CLIENT).href)) as {
    wholeJob: (url: string) => Promise<Record<string, unknown>>
  }
  const { verdict, heard, readBack, versions } = await wholeJob(server.url)
  expect(['fits', 'tight', 'fails', 'unknown']).toContain(verdict)
  expect(heard).toContain('"path":"jobs"')
  expect(versions).toEqual([1, 2, 2])
  const { record } = (await server.call('GET', '/api/jobs/by-a-client')).body
  expect(readBack).toEqual(record)
})
