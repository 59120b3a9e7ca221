/** For tests: the demo's jobs moved about: in other positions, of other metals and thicknesses, asked for otherwise. */
import fc from 'fast-check'
import type { Job } from '../kinds/job.ts'
import { POSITIONS } from '../model/jointKinds.ts'
import { MATERIAL_IDS } from '../model/material.ts'
import { demoShop } from './samples.ts'

const demo = demoShop()

export const movedJobs: fc.Arbitrary<Job> = fc
  .record({
    job: fc.constantFrom(...demo.jobs),
    position: fc.option(fc.constantFrom(...POSITIONS), { nil: null }),
    material: fc.option(fc.constantFrom(...MATERIAL_IDS), { nil: null }),
    thicknessMm: fc.option(fc.double({ min: 0.8, max: 40, noNaN: true }), { nil: null }),
    quality: fc.constantFrom('ordinary', 'structural', 'leak-tight', 'code-bound' as const),
  })
  .map(({ job, position, material, thicknessMm, quality }) => ({
    ...job,
    quality,
    joints: job.joints.map((joint) => ({
      ...joint,
      ...(position ? { position } : {}),
      ...(material ? { materialA: material, materialB: material } : {}),
      ...(thicknessMm ? { thicknessAMm: thicknessMm, thicknessBMm: thicknessMm } : {}),
    })),
  }))
