/** Applies a mend to what was entered, to try it. */
import type { SetUp } from '../model/equipment.ts'
import type { Patch } from '../model/finding.ts'
import type { Job } from '../model/job.ts'

export interface JobWithSetUp {
  readonly job: Job
  readonly setUp: SetUp
}

/** @param setUps to choose from where the patch takes another set-up */
export function applyPatch(entered: JobWithSetUp, patch: Patch, setUps: readonly SetUp[] = []): JobWithSetUp {
  const { job, setUp } = entered
  switch (patch.on) {
    case 'set-up':
      return { job, setUp: { ...setUp, ...patch.change } }
    case 'job':
      return { job: { ...job, ...patch.change }, setUp }
    case 'joint':
      return {
        job: {
          ...job,
          joints: job.joints.map((joint) =>
            joint.id === patch.jointId ? { ...joint, ...patch.change } : joint,
          ),
        },
        setUp,
      }
    case 'job-set-up': {
      const other = setUps.find(({ id }) => id === patch.setUpId)
      return other ? { job: { ...job, setUpId: other.id }, setUp: other } : entered
    }
  }
}
