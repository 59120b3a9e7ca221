/**
 * A runner of tests for the mutation tester, which looks at tests alone: where what comes before them has failed, they are
 * skipped, and what was changed would count as unnoticed. Here they count as failed, as the file does.
 */
import { TestRunner } from 'vitest'

export default class HookFailures extends TestRunner {
  async onAfterRunFiles(files) {
    await super.onAfterRunFiles?.(files)
    const packs = files.flatMap((file) => failedBy(file, null))
    if (packs.length > 0) await this.onTaskUpdate(packs, [])
  }
}

/** @param errors of the suite around it; null where that did not fail */
function failedBy(task, errors) {
  if (task.type === 'test') {
    if (errors === null || task.result?.state !== 'skip') return []
    Object.assign(task.result, { state: 'fail', errors })
    return [[task.id, task.result, task.meta]]
  }
  const own = task.result?.state === 'fail' && task.result.errors?.length > 0 ? task.result.errors : errors
  return task.tasks.flatMap((one) => failedBy(one, own))
}
