/** What is worn is read once for all who ask, and again when something was recorded. */
import { beforeEach, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'

let answers: (() => Response)[] = []
let asked: string[] = []

const told =
  (...sources: readonly string[]) =>
  () =>
    Response.json({ items: sources.map((sourceId) => ({ sourceId, wear: [], breakers: [] })) })
const refused = () => Response.json({ detail: 'refused' }, { status: 503 })

beforeEach(() => {
  vi.resetModules()
  ;[answers, asked] = [[], []]
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(new URL(path, 'http://shop').pathname)
    return Promise.resolve((answers.shift() ?? refused)())
  })
})
const settle = (): Promise<unknown> => new Promise((resolve) => setTimeout(resolve))

async function read() {
  const wear = await import('./useWear.ts')
  const { happenings } = await import('../../shop/happenings.ts')
  const within = <T>(use: () => T): T => {
    const made = effectScope().run(use)
    if (made === undefined) throw new Error('the scope has ended')
    return made
  }
  async function happened(): Promise<void> {
    happenings.value += 1
    await settle()
  }
  return { ...wear, within, happened }
}

it('is read once for several views, then once for each event', async () => {
  answers = [told('tarn-400'), told('tarn-400', 'osier-160')]
  const { useMachineRecord, useMachineRecords, within, happened } = await read()
  const all = within(useMachineRecords)
  const sourceId = ref<string | null>('osier-160')
  const one = within(() => useMachineRecord(sourceId))
  await settle()
  expect([all.value.length, one.value, asked]).toEqual([1, null, ['/api/wear']])
  await happened()
  expect([all.value.length, one.value?.sourceId, asked.length]).toEqual([2, 'osier-160', 2])
  sourceId.value = 'tarn-400'
  expect(one.value?.sourceId).toBe('tarn-400')
  sourceId.value = null
  expect([one.value, asked.length]).toEqual([null, 2])
})

it('keeps what is known where it cannot be read, and asks anew the next time', async () => {
  answers = [told('tarn-400'), refused, told('osier-160')]
  const { machineRecords, useMachineRecords, within, happened } = await read()
  const all = within(useMachineRecords)
  await settle()
  await happened()
  expect(all.value.map(({ sourceId }) => sourceId)).toEqual(['tarn-400'])
  // Nothing happened since: the failure is not what is known.
  expect((await machineRecords()).map(({ sourceId }) => sourceId)).toEqual(['osier-160'])
})

it('is read anew once it is forgotten, before the server tells of what was recorded', async () => {
  answers = [told('tarn-400'), told('osier-160')]
  const { forgetRecords, machineRecords } = await read()
  await machineRecords()
  expect((await machineRecords()).map(({ sourceId }) => sourceId)).toEqual(['tarn-400'])
  forgetRecords()
  expect((await machineRecords()).map(({ sourceId }) => sourceId)).toEqual(['osier-160'])
})
