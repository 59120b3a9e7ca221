/** The rules of what may import what: they hold here, and what they forbid would be found however deep it lies. */
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { cruise } from 'dependency-cruiser'
import { afterAll, expect, it } from 'vitest'
import { CORE_ROOMS, LAYERS } from './lib/layers.mjs'
import { ROOT } from './lib/run.mjs'

/** Each breaks one rule; what it imports is there. */
const FORBIDDEN = {
  'core/src/basis/a/b/c/deep.ts': [
    '../../../../words/english.ts',
    'core: basis uses only the rooms below it',
  ],
  'core/src/fit/barrel.ts': ['../index.ts', 'core: fit uses only the rooms below it'],
  'core/src/trade/tested.ts': ['../testing/samples.ts', 'core: trade uses only the rooms below it'],
  'core/src/model/clock.ts': ['node:fs', 'core: depends on itself, Zod and d3-random alone'],
  'core/src/model/reaches.ts': ['../../../server/src/store.ts', 'core: its tests reach no further than core'],
  'core/src/model/elsewhere.ts': ['../attic/old.ts', 'core: every folder is a room'],
  'web/src/views/x/y/server.ts': ['../../../../../server/src/store.ts', 'web: never the server'],
  'web/src/views/node.ts': ['node:os', 'web: nothing of Node'],
  'web/src/inside.ts': ['../../core/src/words/english.ts', 'core: known to others by its index alone'],
  'web/src/shop/looks.ts': ['../views/node.ts', 'web: the shop knows no view'],
  'server/src/page.ts': ['../../web/src/inside.ts', 'server: never the page'],
  'server/src/script.ts': ['../../scripts/run.mjs', 'server: never the scripts'],
}
const THERE = [
  'core/src/words/english.ts',
  'core/src/index.ts',
  'core/src/attic/old.ts',
  'core/src/testing/samples.ts',
  'server/src/store.ts',
  'scripts/run.mjs',
]
const ALLOWED = {
  'core/src/words/uses.ts': '../basis/source.ts',
  'core/src/trade/trade.test.ts': '../testing/samples.ts',
  'web/src/uses.ts': '../../core/src/index.ts',
}

const place = mkdtempSync(join(tmpdir(), 'brannik-layers-'))
afterAll(() => rmSync(place, { recursive: true }))
const write = (file, text) => {
  mkdirSync(dirname(join(place, file)), { recursive: true })
  writeFileSync(join(place, file), text)
}

it('finds each import that is forbidden, however deep, and no other', async () => {
  for (const file of [...THERE, 'core/src/basis/source.ts']) write(file, 'export const is = 1\n')
  for (const [file, [from]] of Object.entries(FORBIDDEN)) write(file, `import '${from}'\n`)
  for (const [file, from] of Object.entries(ALLOWED)) write(file, `import '${from}'\n`)
  const { output } = await cruise(
    ['core', 'server', 'web'],
    {
      baseDir: place,
      ruleSet: { forbidden: LAYERS },
      validate: true,
      outputType: 'json',
      tsPreCompilationDeps: true,
    },
    {},
  )
  const { violations } = JSON.parse(output).summary
  const found = new Map(violations.map(({ from, rule }) => [from, rule.name]))
  for (const [file, [, rule]] of Object.entries(FORBIDDEN))
    expect([file, found.get(file)]).toEqual([file, rule])
  expect([...found.keys()].sort()).toEqual(Object.keys(FORBIDDEN).sort())
})

it('knows every room of core', () => {
  const folders = readdirSync(join(ROOT, 'core/src'), { withFileTypes: true })
    .filter((one) => one.isDirectory() && one.name !== 'testing')
    .map(({ name }) => name)
  expect(folders.sort()).toEqual([...CORE_ROOMS].sort())
})
