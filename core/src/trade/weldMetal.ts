/** Weld metal of a weld line. */
import { weldCountOf } from '../joints/weldCount.ts'
import { handbook, jobField } from '../basis/source.ts'
import { calculation, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import { DENSITY, MATERIALS } from '../reference/materials.ts'
import { weldVolume } from './run.ts'

export const count = input('welds of this line, both sides counted', '', jobField('count of the weld'))
export const quantity = input('pieces', '', jobField('quantity of the job'))
const density = input('density', 'g/cm³', DENSITY['carbon-steel'].source)

export const weldMetal = calculation({
  id: 'weld-metal',
  title: 'Weld metal',
  symbol: 'm',
  unit: 'g',
  expression: 'V * c * q * ρ / 1000',
  inputs: { V: weldVolume, c: count, q: quantity, ρ: density },
  compute: ({ V, c, q, ρ }) => (V * c * q * ρ) / 1000,
  source: handbook('volume times density', false),
})

/** Weld metal of one line over the whole job, in g. */
export const weldMetalG = (joint: Joint, volumeMm3: number, pieces: number, reckoner: Reckoner): number =>
  reckoner.compute(weldMetal, {
    V: volumeMm3,
    c: weldCountOf(joint),
    q: pieces,
    ρ: DENSITY[MATERIALS[joint.materialA].family].value,
  })
