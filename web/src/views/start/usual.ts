/** What most shops have of each kind: seen at once; all else of the library is found by its name. */
import { gunFor, LIBRARY, type LibraryEntry, type PowerSource, type Shop } from '@brannik/core'
import { idFor } from '../jobs/idFor.ts'
import type { useWorkspace } from '../../shop/workspace.ts'

export type TakenPath = 'power-sources' | 'guns' | 'wires' | 'gases' | 'tungstens'

/** Ids of the library whose names begin so. */
const named = (path: TakenPath, pattern: RegExp): readonly string[] =>
  LIBRARY.filter((entry) => entry.path === path && pattern.test(entry.record.name)).map(
    ({ record }) => record.id,
  )

export const USUAL: Readonly<Record<Shop['unitSystem'], Readonly<Record<TakenPath, readonly string[]>>>> = {
  imperial: {
    'power-sources': [
      'lib-machine-120-v-140-a-class-wire-machine',
      'lib-machine-120-240-v-210-a-class-wire-machine',
      'lib-machine-120-240-v-200-a-class-multiprocess-machine',
      'lib-machine-120-240-v-200-a-class-ac-dc-tig-machine',
      'lib-machine-120-240-v-160-a-class-stick-and-dc-tig-machine',
    ],
    guns: [],
    wires: named(
      'wires',
      /^(0\.030 ER70S-6, 200|0\.035 ER70S-6, 200|0\.035 E71T-11, 200|0\.035 ER5356, 100|3\/32 ER308L rod|3\/32 ER4043 rod|1\/8 E6013|1\/8 E7018)/,
    ),
    gases: ['lib-m21-arc-25', 'lib-i1', 'lib-c1'],
    tungstens: named('tungstens', /^(1\/16|3\/32) WLa20/),
  },
  metric: {
    'power-sources': named('power-sources', /^(230|400) V/),
    guns: [],
    wires: named(
      'wires',
      /^(0\.8 G3Si1, 200|1\.0 G3Si1, 300|1\.2 G3Si1, 300|1\.0 AlMg5, 200|2\.0 W 19 9 L rod|2\.4 AlMg5 rod|2\.5 rutile|3\.2 basic)/,
    ),
    gases: ['lib-m21-arc-18', 'lib-i1', 'lib-c1'],
    tungstens: named('tungstens', /^(1\.6|2\.4) mm WLa20/),
  },
}

type Workspace = ReturnType<typeof useWorkspace>

/** Takes a thing of the library as the shop's own, not counted yet, with what comes in the same box. */
export function takeOwn(workspace: Workspace, entry: LibraryEntry): void {
  const { path, record, comesWith = [] } = entry
  const id = idFor(record.name, workspace.all(path))
  const own = 'held' in record ? { ...record, id, held: 'owned' } : { ...record, id }
  workspace.edit(path, id, own as never, `${record.name} from the library`)
  for (const other of comesWith) {
    const gun = LIBRARY.find((one) => one.record.id === other)
    if (!gun || gun.path !== 'guns') continue
    const fitting = gunFor(gun.record as never, record as PowerSource)
    const isThere = workspace
      .all('guns')
      .some(({ name, connector }) => name === fitting.name && connector === fitting.connector)
    if (isThere) continue
    const gunId = idFor(fitting.name, workspace.all('guns'))
    workspace.edit(
      'guns',
      gunId,
      { ...fitting, id: gunId, held: 'owned' },
      `${fitting.name} with ${record.name}`,
    )
  }
}
