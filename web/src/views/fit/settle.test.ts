import { type Assessment, fitJob, type SetUp } from '@brannik/core'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoWorkspace, inputFor } from '../../testing/demo.ts'
import { settle, toSettle, typicalFor, valueOf } from './settle.ts'

let workspace: Awaited<ReturnType<typeof demoWorkspace>>['workspace']
beforeEach(async () => {
  workspace = (await demoWorkspace()).workspace
})

const setUpOf = (jobId: string): SetUp => {
  const { setUp } = inputFor(jobId)
  return setUp
}
/** As the criteria say that something is missing. */
const lacking = (criterion: string, code: string, params: Assessment['params'] = {}): Assessment =>
  ({
    ...(fitJob(inputFor('press-frame')).criteria[0] as Assessment),
    criterion,
    code,
    params,
    verdict: 'unknown',
  }) as Assessment

describe('what is to be settled', () => {
  it('is a field once, whatever hangs on it, and a choice of the set-up without a field', () => {
    const setUp = setUpOf('press-frame')
    const items = toSettle(
      [
        lacking('gun-plugs-in', 'gun-connector'),
        lacking('other', 'gun-connector'),
        lacking('gas', 'gas'),
        lacking('start', 'open-circuit'),
      ],
      setUp,
      workspace,
    )
    expect(items.map(({ field }) => field && `${field.path} ${field.spec.label}`)).toEqual([
      'guns Connector',
      null,
      'power-sources Open-circuit voltage',
    ])
  })

  it('is written into the record where it is missing, and undone as one step', () => {
    const setUp = setUpOf('press-frame')
    const [item] = toSettle([lacking('gun-plugs-in', 'gun-connector')], setUp, workspace)
    if (!item?.field) throw new Error('no field')
    const gun = workspace.get('guns', item.field.id)
    if (!gun) throw new Error('no gun')
    workspace.edit('guns', gun.id, { ...gun, connector: null }, 'connector')
    expect(valueOf(item.field, workspace)).toBeNull()
    // It plugs into its machine, and that has one.
    const usual = typicalFor(item.field, setUp, workspace)
    expect(usual).toBe(workspace.get('power-sources', setUp.powerSourceId)?.feeder?.gunConnector)
    expect(settle(item.field, usual, workspace)).toBeNull()
    expect(workspace.get('guns', gun.id)?.connector).toBe(usual)
    workspace.undo()
    expect(workspace.get('guns', gun.id)?.connector).toBeNull()
  })

  it('is written into each column of the plate of its process, and into no other', () => {
    const setUp = setUpOf('press-frame')
    const [item] = toSettle([lacking('start', 'open-circuit')], setUp, workspace)
    if (!item?.field) throw new Error('no field')
    expect(settle(item.field, 61, workspace)).toBeNull()
    const source = workspace.get('power-sources', setUp.powerSourceId)
    const volts = (family: string) =>
      source?.processes
        .filter((one) => one.family === family)
        .flatMap(({ supplies }) => supplies.map((one) => one.openCircuitV))
    expect(new Set(volts('gmaw'))).toEqual(new Set([61]))
    expect(volts('gtaw')?.includes(61)).not.toBe(true)
  })

  it('is not written where it cannot be so, and says why', () => {
    const setUp = setUpOf('press-frame')
    const [item] = toSettle([lacking('feeds', 'feed-max')], setUp, workspace)
    if (!item?.field) throw new Error('no field')
    const before = valueOf(item.field, workspace)
    expect(settle(item.field, -5, workspace)).toMatch(/./)
    expect(valueOf(item.field, workspace)).toBe(before)
  })
})
