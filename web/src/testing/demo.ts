/** For tests of the screens: the demo shop, and a workspace that holds it without a server. */
import {
  type Fit,
  type FitInput,
  fitJob,
  inputOf,
  type Job,
  LISTED,
  readDocument,
  shopDocumentSchema,
} from '@brannik/core'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import demo from '../../../demo/tollgate-orchard-works.json' with { type: 'json' }
import { useWorkspace } from '../shop/workspace.ts'

const read = readDocument(shopDocumentSchema, demo)
if (!read.ok) throw new Error(JSON.stringify(read.problems))
export const shopDocument = read.value

export function inputFor(jobId: string, setUpId?: string): FitInput {
  const { shop, jobs, setUps, format: _format, version: _version, ...shelf } = shopDocument
  const job = jobs.find(({ id }) => id === jobId)
  const setUp = setUps.find(({ id }) => id === (setUpId ?? job?.setUpId))
  const answer = job && setUp ? inputOf({ shop, job, setUp, ...shelf }) : null
  if (!answer?.ok) throw new Error(`the demo has no ${jobId} with a set-up`)
  return answer.input
}

export const fitFor = (jobId: string, setUpId?: string): Fit => fitJob(inputFor(jobId, setUpId))

export const demoJob = (jobId: string): Job => inputFor(jobId).job

const RECORDS: Record<string, readonly { id: string }[]> = Object.fromEntries(
  LISTED.map(({ path, listKey }) => [path, shopDocument[listKey]]),
)

const ME = {
  who: 'this machine',
  role: 'owner',
  via: 'this machine',
  needsSignIn: false,
  needsLink: false,
  hasOwner: false,
  may: 'everything',
  writes: ['shop', ...Object.keys(RECORDS)],
}

interface Sent {
  readonly method: string
  readonly path: string
  readonly body: unknown
}

/**
 * A workspace with the demo shop in it.
 * @returns the workspace, and what it has sent to the server, which answers every write with the next version
 */
export async function demoWorkspace() {
  localStorage.clear()
  setActivePinia(createPinia())
  const sent: Sent[] = []
  vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET'
    const name = path.replace('/api/', '').replace(/\?.*$/, '')
    if (method === 'GET') {
      if (name === 'me') return Response.json(ME)
      if (name === 'backups')
        return Response.json({
          isPossible: false,
          keepDays: 30,
          everyHours: 0,
          hasSecondPlace: false,
          freeBytes: null,
          isDiskTight: false,
          problem: null,
          tried: null,
          items: [],
        })
      if (name === 'shop') return Response.json({ version: 1, record: shopDocument.shop })
      const one = /^([\w-]+)\/([\w.-]+)$/.exec(name)
      if (one)
        return Response.json({ version: 5, record: RECORDS[one[1] ?? '']?.find(({ id }) => id === one[2]) })
      return Response.json({
        items: (RECORDS[name] ?? []).map((record) => ({ version: 1, record })),
        next: null,
      })
    }
    sent.push({ method, path: name, body: init.body === undefined ? null : JSON.parse(`${init.body}`) })
    if (name === 'catalogue') {
      const { catalogue } = JSON.parse(`${init.body}`) as { catalogue: { stock: { id: string }[] } }
      return Response.json({ items: catalogue.stock.map(({ id }) => ({ path: 'stock', id, version: 1 })) })
    }
    return method === 'DELETE'
      ? new Response(null, { status: 204 })
      : Response.json({ version: 2, record: {} })
  })
  const workspace = useWorkspace()
  await workspace.load()
  return { workspace, sent }
}
