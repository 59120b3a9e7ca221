/** A key in the fit: once a field is entered, what hangs on it has changed before the next frame. */
import { flushPromises } from '@vue/test-utils'
import { effectScope, nextTick, ref } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { engine } from '../../engine/client.ts'
import { demoWorkspace, inputFor } from '../../testing/demo.ts'
import { fitJob } from '@brannik/core'
import { useFit } from './useFit.ts'

let workspace: Awaited<ReturnType<typeof demoWorkspace>>['workspace']
const scope = effectScope()
beforeEach(async () => {
  workspace = (await demoWorkspace()).workspace
})
afterEach(() => {
  scope.stop()
})

it('a key is answered before the next frame, and a change of the set-up by the thread', async () => {
  const ask = vi.spyOn(engine, 'ask')
  const asked = (): number => ask.mock.calls.filter(([, question]) => question === 'fit').length
  const fit = scope.run(() => useFit(ref('press-frame')))
  if (!fit) throw new Error('no fit')
  await vi.waitFor(() => {
    expect(fit.fit.value).not.toBe(null)
  })
  await fit.prepare()
  const before = asked()
  const { job, ...parts } = inputFor('press-frame')
  for (const thicknessAMm of [3, 12]) {
    fit.changeJoint({ thicknessAMm }, 'thickness')
    await nextTick()
    const joints = job.joints.map((joint) => ({ ...joint, thicknessAMm }))
    const [chain] = fitJob({ ...parts, job: { ...job, joints } }).chains
    expect(fit.chain.value).toEqual(chain)
  }
  expect(asked()).toBe(before)

  const wire = workspace.shelf.wires.find(({ id }) => id !== fit.setUp.value?.wireId)
  await fit.changeSetUp({ wireId: wire?.id ?? null }, 'wire')
  await flushPromises()
  expect(asked()).toBe(before + 1)
  // It is told anew after that answer.
  await flushPromises()
  fit.changeJob({ quantity: 7 }, 'pieces')
  await nextTick()
  expect(asked()).toBe(before + 1)
})
