/** The fit of one job: reckoned anew at every change, its mends a moment later so that the screen never waits for them. */
import {
  applyPatch,
  type Job,
  type Joint,
  partsOf,
  type Patch,
  type SetUp,
  type Suggestion,
} from '@brannik/core'
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, type Ref, shallowRef, watch } from 'vue'
import { engine } from '../../engine/client.ts'
import type { createFitHere } from '../../engine/fitHere.ts'
import { useAnswer } from '../../engine/useAnswer.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import type { changed } from './changeJoint.ts'

/** Long enough for the frame with the fit itself to be painted, and for what shows it to have arrived. */
const AFTER_PAINT_MS = 120
/** Longer than from key to key: what is sought between two keys would keep the fit of the second waiting. */
const AFTER_TYPING_MS = 350
const MOST_SUGGESTIONS = 3
const MOST_NAME = 120

/** What checks a changed weld: fetched when a field is entered, which is before anything is typed. */
let check: typeof changed | null = null
async function fetchCheck(): Promise<void> {
  const found = await import('./changeJoint.ts').catch(() => null)
  check = found?.changed ?? null
}
/** What answers the keys in the page itself: fetched with it. */
let here: ReturnType<typeof createFitHere> | null = null
async function fetchHere(): Promise<void> {
  const found = await import('../../engine/fitHere.ts').catch(() => null)
  here ??= found?.createFitHere(engine) ?? null
}
/** Where it is not there, or not yet, the change is kept all the same: the server checks what it stores. */
const unchecked: typeof changed = (joint, change) => ({ ok: true, joint: { ...joint, ...change } })

export function useFit(jobId: Ref<string>) {
  const workspace = useWorkspace()
  const notice = useNotice()
  const chosenJointId = ref<string | null>(null)

  const job = computed<Job | null>(() => workspace.get('jobs', jobId.value))
  const setUp = computed<SetUp | null>(() => {
    const id = job.value?.setUpId
    return id ? workspace.get('set-ups', id) : null
  })
  const parts = computed(() => (setUp.value ? partsOf(setUp.value, workspace.shelf) : null))
  const { answer: fit, failure } = useAnswer(
    computed(() =>
      parts.value?.ok
        ? ([
            'fit',
            jobId.value,
            { chainsOf: chosenJointId.value === null ? [] : [chosenJointId.value] },
          ] as const)
        : null,
    ),
    { by: { ask: engine.ask, atOnce: (now, _fit, ...of) => here?.atOnce(now, ...of) ?? null } },
  )
  const jointId = computed(() => {
    const chosen = job.value?.joints.find(({ id }) => id === chosenJointId.value)
    return chosen?.id ?? fit.value?.governingJointId ?? job.value?.joints[0]?.id ?? null
  })
  const joint = computed<Joint | null>(() => job.value?.joints.find(({ id }) => id === jointId.value) ?? null)
  const chain = computed(() => fit.value?.chains.find((one) => one.jointId === jointId.value) ?? null)

  /** Null while they are sought for the first time: until then nobody knows whether there are any. */
  const suggestions = shallowRef<readonly Suggestion[] | null>(null)
  const painted = useTimeoutFn(
    () => {
      const now = fit.value
      engine.ask(workspace.snapshot, 'suggest', jobId.value, MOST_SUGGESTIONS).then(
        // A later change has its own mends on the way.
        (found) => fit.value === now && (suggestions.value = found),
        // What broke the engine is told where the fit should be.
        () => (suggestions.value = []),
      )
    },
    () => (suggestions.value === null ? AFTER_PAINT_MS : AFTER_TYPING_MS),
    { immediate: false },
  )
  watch(
    fit,
    (now) => {
      painted.stop()
      if (here) void here.prepare(workspace.snapshot, jobId.value)
      if (now) painted.start()
      else suggestions.value = null
    },
    { immediate: true },
  )

  /** Called when somebody enters a field. */
  async function prepare(): Promise<void> {
    if (!check) void fetchCheck()
    if (!here) await fetchHere()
    await here?.prepare(workspace.snapshot, jobId.value)
  }

  function changeJob(change: Partial<Job>, what: string): void {
    if (job.value)
      workspace.edit('jobs', job.value.id, { ...job.value, ...change }, `${what} of ${job.value.name}`)
  }
  /** A change with which the weld could not stand is told, and not made: the field keeps what was typed. */
  function changeJoint(change: Partial<Joint>, what: string): void {
    if (!job.value || !joint.value) return
    const next = (check ?? unchecked)(joint.value, change, workspace.notation)
    if (!next.ok) {
      notice.show(next.message)
      return
    }
    const joints = job.value.joints.map((one) => (one.id === jointId.value ? next.joint : one))
    changeJob({ joints }, what)
  }
  async function changeSetUp(change: Partial<SetUp>, what: string): Promise<void> {
    const before = setUp.value
    if (!before) return
    const found = await engine.ask(workspace.snapshot, 'changeSetUp', before.id, change)
    if (!found) return
    // What was changed meanwhile is not taken back: this change is made anew, on top of it.
    if (setUp.value !== before) return changeSetUp(change, what)
    workspace.edit('set-ups', before.id, found.setUp, `${what} of ${before.name}`)
    notice.tellChangedAlong(found.along, found.setUp.process, workspace.speech)
    if (found.along.length === 0 && sharedBy.value.length > 0)
      notice.show(`${before.name} is changed. Also used by ${sharedBy.value.join(', ')}`, true)
  }
  /** Other jobs that hang on the same set-up. */
  const sharedBy = computed(() =>
    workspace.jobs
      .filter(
        ({ id, setUpId, state }) => id !== jobId.value && state === 'planned' && setUpId === setUp.value?.id,
      )
      .map(({ name }) => name),
  )
  /** The job goes on with a set-up of its own, alike so far. */
  function copySetUp(): void {
    if (!setUp.value || !job.value) return
    const name = `${setUp.value.name}, ${job.value.name}`.slice(0, MOST_NAME)
    const id = idFor(name, workspace.setUps)
    if (!workspace.edit('set-ups', id, { ...setUp.value, id, name }, `set-up ${name}`)) return
    changeJob({ setUpId: id }, 'set-up')
    notice.show(`${job.value.name} now has its own set-up: ${name}`)
  }
  /** Makes a mend's change for good; the notice offers the way back. */
  function apply(patch: Patch, label: string): void {
    if (!job.value || !setUp.value) return
    const after = applyPatch({ job: job.value, setUp: setUp.value }, patch, workspace.setUps)
    if (patch.on === 'set-up') workspace.edit('set-ups', after.setUp.id, after.setUp, label)
    else workspace.edit('jobs', after.job.id, after.job, label)
    notice.show(`Done: ${label}`, true)
  }

  return {
    failure,
    job,
    setUp,
    parts,
    fit,
    chain,
    joint,
    jointId,
    chooseJoint: (id: string) => (chosenJointId.value = id),
    suggestions,
    changeJob,
    changeJoint,
    prepare,
    changeSetUp,
    sharedBy,
    copySetUp,
    apply,
  }
}
