/** A change to what was entered: what a mend would do, ready to be tried. */
import type { SetUp } from './equipment.ts'
import type { Job, Joint } from './job.ts'

export type Patch =
  | { readonly on: 'set-up'; readonly change: Partial<Omit<SetUp, 'id'>> }
  | {
      readonly on: 'job'
      readonly change: Partial<Pick<Job, 'pauseS' | 'preheatC' | 'hoursSetAside' | 'quantity'>>
    }
  | { readonly on: 'joint'; readonly jointId: string; readonly change: Partial<Omit<Joint, 'id'>> }
  | { readonly on: 'job-set-up'; readonly setUpId: string }

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
