/** Ways to do a job, looked at in two threads where machines and wires are many: each takes half of them. */
import { type CouldDo, joined } from '@brannik/core'
import type { EngineClient } from './client.ts'
import type { Snapshot } from './snapshot.ts'

/** Machines times wires: with fewer one thread has answered before the other is started and told of the shop. */
const FEW = 400

/** @param engines each in a thread of its own */
export const inShares = (engines: readonly EngineClient[]) => ({
  async ask(snapshot: Snapshot, question: 'could', jobId: string, most: number): Promise<CouldDo> {
    const isMuch = snapshot.powerSources.length * snapshot.wires.length > FEW
    const asked = isMuch ? engines : engines.slice(0, 1)
    const shares = asked.map((engine, at) =>
      engine.ask(snapshot, question, jobId, most, { at, of: asked.length }),
    )
    return joined(await Promise.all(shares), most)
  },
})
