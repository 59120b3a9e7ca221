/** The fit of one job: recomputed at every change, its mends a moment later so that the screen never waits for them. */
import {
  applyChange,
  applyPatch,
  changeSetUp as changeWithParts,
  type FitInput,
  type Job,
  type Joint,
  partsOf,
  type Patch,
  type SetUp,
  type Suggestion,
} from '@brannik/core'
import { computed, ref, type Ref, shallowRef, watch } from 'vue'
import { suggestFor, useFitOf } from '../../stores/useFitOf.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../stores/workspace.ts'

/** Long enough for the frame with the fit itself to be painted. */
const AFTER_PAINT_MS = 30
const MOST_SUGGESTIONS = 3

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
  const input = computed<FitInput | null>(() => {
    const { shop } = workspace
    if (!shop || !job.value || !setUp.value || !parts.value?.ok) return null
    return { shop, job: job.value, setUp: setUp.value, ...parts.value.parts }
  })
  const { answer: fit, failure } = useFitOf(
    input,
    computed(() => (chosenJointId.value === null ? {} : { chainsOf: [chosenJointId.value] })),
  )
  const jointId = computed(() => {
    const chosen = job.value?.joints.find(({ id }) => id === chosenJointId.value)
    return chosen?.id ?? fit.value?.governingJointId ?? job.value?.joints[0]?.id ?? null
  })
  const joint = computed<Joint | null>(() => job.value?.joints.find(({ id }) => id === jointId.value) ?? null)
  const chain = computed(() => fit.value?.chains.find((one) => one.jointId === jointId.value) ?? null)

  const suggestions = shallowRef<readonly Suggestion[]>([])
  let waiting = 0
  watch(
    fit,
    (now) => {
      window.clearTimeout(waiting)
      const { shop, shelf, setUps } = workspace
      const entered = { job: job.value, setUp: setUp.value }
      waiting = window.setTimeout(async () => {
        const found =
          now && shop && entered.job && entered.setUp
            ? await suggestFor(
                { shop, shelf, setUps, job: entered.job, setUp: entered.setUp },
                now,
                MOST_SUGGESTIONS,
              )
            : []
        // A later change has its own mends on the way.
        if (fit.value === now) suggestions.value = found
      }, AFTER_PAINT_MS)
    },
    { immediate: true },
  )

  function changeJob(change: Partial<Job>, what: string): void {
    if (job.value)
      workspace.edit('jobs', job.value.id, { ...job.value, ...change }, `${what} of ${job.value.name}`)
  }
  /** A change with which the weld could not stand is told, and not made: the field keeps what was typed. */
  function changeJoint(change: Partial<Joint>, what: string): void {
    if (!job.value || !joint.value) return
    const next = applyChange(joint.value, change)
    if (!next.ok) {
      notice.show(next.message)
      return
    }
    const joints = job.value.joints.map((one) => (one.id === jointId.value ? next.joint : one))
    changeJob({ joints }, what)
  }
  function changeSetUp(change: Partial<SetUp>, what: string): void {
    const { shop, shelf } = workspace
    if (!setUp.value || !shop) return
    const { setUp: next, along } = changeWithParts(shop, shelf, setUp.value, change)
    workspace.edit('set-ups', next.id, next, `${what} of ${setUp.value.name}`)
    notice.tellChangedAlong(along, next.process)
  }
  /** Makes a mend's change for good; the notice offers the way back. */
  function apply(patch: Patch, says: string): void {
    if (!job.value || !setUp.value) return
    const after = applyPatch({ job: job.value, setUp: setUp.value }, patch, workspace.setUps)
    if (patch.on === 'set-up') workspace.edit('set-ups', after.setUp.id, after.setUp, says)
    else workspace.edit('jobs', after.job.id, after.job, says)
    notice.show(`Done: ${says}`, true)
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
    changeSetUp,
    apply,
  }
}
