/**
 * Another program at work, in the types that are generated from the OpenAPI document: it makes a job, asks for its fit,
 * changes it, hears of the change and reads it back. `server/src/openapi.test.ts` generates `api.d.ts`, compiles this
 * file and runs it; a program of your own begins like this.
 */
import createClient from 'openapi-fetch'
import type { components, paths } from './api.d.ts'

type Job = components['schemas']['Job']

export interface Done {
  readonly verdict: string
  readonly heard: string
  readonly readBack: Job
  readonly versions: readonly number[]
}

/** What an answer holds. @throws Error with the server's own words where it refused */
function given<T>({ data, error }: { data?: T; error?: unknown }): T {
  if (data !== undefined) return data
  throw new Error(JSON.stringify(error))
}

/** The next line of a stream of changes that names a record. */
async function change(stream: ReadableStream<Uint8Array<ArrayBuffer>>, id: string): Promise<string> {
  const reader = stream.getReader()
  const decoder = new TextDecoder()
  for (let text = ''; ;) {
    const { value, done } = await reader.read()
    if (done) throw new Error('the stream ended')
    text += decoder.decode(value, { stream: true })
    const line = text.split('\n').find((one) => one.startsWith('data:') && one.includes(`"${id}"`))
    if (line === undefined) continue
    await reader.cancel()
    return line
  }
}

/** @param baseUrl of a server with the demo shop, on this machine */
export async function wholeJob(baseUrl: string): Promise<Done> {
  const client = createClient<paths>({ baseUrl })
  const whole = given(await client.GET('/api/whole'))
  const pattern = whole.jobs.find(({ setUpId }) => setUpId !== null)
  const setUp = whole.setUps.find(({ id }) => id === pattern?.setUpId)
  if (!pattern || !setUp) throw new Error('the demo has no job with a set-up')
  const { position } = given(await client.GET('/api/changes/position'))

  const job: Job = { ...pattern, id: 'by-a-client', name: 'Press frame, made by a client' }
  const making = await client.POST('/api/jobs', { params: { header: {} }, body: job })
  const made = given(making)
  const etag = making.response.headers.get('ETag') ?? ''

  const { format: _format, version: _version, setUps: _setUps, jobs: _jobs, ...rest } = whole
  const {
    requirementSheets: _sheets,
    decisions: _decisions,
    orders: _orders,
    quotes: _quotes,
    welders: _welders,
    workPlans: _workPlans,
    ...shelf
  } = rest
  const fit = given(await client.POST('/api/fit', { params: { query: {} }, body: { ...shelf, setUp, job } }))

  const replaced = given(
    await client.PUT('/api/jobs/{id}', {
      params: { path: { id: job.id }, header: { 'If-Match': etag } },
      body: { ...job, quantity: job.quantity + 1 },
    }),
  )
  const changes = await client.GET('/api/changes', {
    params: { query: { since: position } },
    parseAs: 'stream',
  })
  const heard = await change(given(changes) as unknown as ReadableStream<Uint8Array<ArrayBuffer>>, job.id)
  const back = given(await client.GET('/api/jobs/{id}', { params: { path: { id: job.id } } }))
  return {
    verdict: fit.verdict,
    heard,
    readBack: back.record,
    versions: [made.version, replaced.version, back.version],
  }
}
