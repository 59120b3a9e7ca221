/** What a job asks of a set-up, taken from its worked figures. */
import type { FitContext } from '../fit/context.ts'
import { MATERIALS } from '../reference/materials.ts'
import { pairAdvice } from '../reference/pairs.ts'
import { pairNames, serviceOf } from '../trade/service.ts'
import type { Demands } from './assembly.ts'

export function demandsOf({ joints, job, duty }: Pick<FitContext, 'joints' | 'job' | 'duty'>): Demands {
  const wanted = joints.map((figures) => figures.wanted.value)
  const pairs = new Map<string, Demands['pairs'][number]>()
  const metals = new Set<Demands['metals'][number]>()
  const positions = new Set<Demands['positions'][number]>()
  for (const { joint } of joints) {
    positions.add(joint.position)
    metals.add(MATERIALS[joint.materialA].family).add(MATERIALS[joint.materialB].family)
    const names = pairNames(joint)
    if (pairs.has(names)) continue
    pairs.set(names, { names, advice: pairAdvice(joint.materialA, joint.materialB, serviceOf(job, joint)) })
  }
  return {
    leastA: Math.min(...wanted),
    mostA: Math.max(...wanted),
    dutyPct: duty?.value ?? null,
    metals: [...metals],
    positions: [...positions],
    pairs: [...pairs.values()],
  }
}
