/**
 * `npm run mutants`: changes the program in small ways and asks whether a test notices; one line of JSON a folder, with
 * the share that was noticed, and the exit is 1 where that is less than wanted.
 *
 *     npm run mutants                        every folder, which takes hours
 *     npm run mutants -- core/src/duty       some
 *     npm run mutants -- --since HEAD~3      files that have changed since, with what is not committed
 *     npm run mutants -- --show core/src/duty    and what went unnoticed, line by line
 */
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { CORE_ROOMS } from './lib/layers.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { temporaryPostgres } from './lib/postgres.mjs'
import { explain, quiet, Remedy, ROOT } from './lib/run.mjs'

const WANTED_PCT = 85
const FOLDERS = [...CORE_ROOMS.map((room) => `core/src/${room}`), 'server/src', 'web/src/stores']
const REPORT = join(DATA, 'mutants.json')
const CONFIG = join(DATA, 'stryker.json')
const NOTICED = ['Killed', 'Timeout']
const UNNOTICED = ['Survived', 'NoCoverage']

const partOf = (folder) => folder.split('/')[0]
const isCode = (file) =>
  /\.ts$/.test(file) && !/\.(test|bench)\.ts$|\/testing(\.ts|\/)|prepareTests/.test(file)

/** @returns the files of each folder that are changed; null where all are */
function changedSince(ref) {
  const asked = (args) => {
    const { ok, out, err } = quiet('git', args)
    if (!ok) throw new Remedy(`git does not know ${ref}: ${err.trim()}. Name a commit, such as HEAD~3.`)
    return out.split('\n')
  }
  const files = [
    ...asked(['diff', '--name-only', '--diff-filter=d', ref, '--']),
    ...asked(['ls-files', '--others', '--exclude-standard']),
  ]
  return files.filter(isCode)
}

/** One run of Stryker: what becomes of each mutant, by file. */
function mutantsOf(folder, mutate, env) {
  const part = partOf(folder)
  writeFileSync(
    CONFIG,
    JSON.stringify({
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner'],
      vitest: { configFile: `${part}/vitest.mutants.config.ts`, related: true },
      coverageAnalysis: 'perTest',
      mutate,
      // Words are the reader's to judge.
      mutator: { excludedMutations: ['StringLiteral'] },
      ignoreStatic: true,
      concurrency: 2,
      timeoutMS: 20_000,
      reporters: ['json'],
      jsonReporter: { fileName: REPORT },
      tempDirName: '.data/stryker',
      cleanTempDir: 'always',
      ignorePatterns: ['.data', 'web/dist', 'server/dist'],
      disableTypeChecks: false,
      logLevel: 'warn',
    }),
  )
  rmSync(REPORT, { force: true })
  const { status } = spawnSync('npx', ['--no-install', 'stryker', 'run', CONFIG], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ...env },
  })
  if (status !== 0 || !existsSync(REPORT)) throw new Error(`Stryker ended with ${status} in ${folder}`)
  return JSON.parse(readFileSync(REPORT, 'utf8')).files
}

function tell(folder, files, isShown) {
  const all = Object.entries(files).flatMap(([file, { mutants }]) => mutants.map((one) => ({ file, ...one })))
  const noticed = all.filter(({ status }) => NOTICED.includes(status)).length
  const unnoticed = all.filter(({ status }) => UNNOTICED.includes(status))
  const of = noticed + unnoticed.length
  const pct = of === 0 ? null : Math.round((noticed / of) * 1000) / 10
  process.stdout.write(
    `${JSON.stringify({ figure: `mutants-${folder}`, value: pct, unit: '%', noticed, of, wanted: WANTED_PCT })}\n`,
  )
  if (isShown)
    for (const { file, location, mutatorName, replacement } of unnoticed)
      process.stdout.write(
        `  ${file}:${location.start.line} ${mutatorName}: ${(replacement ?? '').slice(0, 100)}\n`,
      )
  return pct === null || pct >= WANTED_PCT
}

async function mutants() {
  installNpm()
  const args = process.argv.slice(2)
  const at = args.indexOf('--since')
  const since = at < 0 ? null : args[at + 1]
  if (at >= 0 && since === undefined) throw new Remedy('--since wants a commit, such as HEAD~3.')
  const named = args.filter((one, index) => !one.startsWith('--') && (at < 0 || index !== at + 1))
  const unknown = named.find((one) => !FOLDERS.includes(one))
  if (unknown) throw new Remedy(`${unknown} is no folder that is tested so. There are: ${FOLDERS.join(', ')}`)
  const changed = since === null ? null : changedSince(since)
  const asked = (named.length > 0 ? named : FOLDERS).flatMap((folder) => {
    const own = changed?.filter((file) => file.startsWith(`${folder}/`)) ?? null
    if (own?.length === 0) return []
    return [
      [
        folder,
        own ?? [
          `${folder}/**/*.ts`,
          `!${folder}/**/*.{test,bench}.ts`,
          '!**/testing.ts',
          '!**/prepareTests.ts',
        ],
      ],
    ]
  })
  const needsDatabase = asked.some(([folder]) => partOf(folder) === 'server')
  const cluster = needsDatabase ? await temporaryPostgres(57870) : null
  let isWell = true
  try {
    const env = cluster ? { TEST_DATABASE_URL: cluster.url('postgres') } : {}
    for (const [folder, mutate] of asked)
      isWell = tell(folder, mutantsOf(folder, mutate, env), args.includes('--show')) && isWell
  } finally {
    cluster?.remove()
  }
  process.exitCode = isWell ? 0 : 1
}

process.chdir(ROOT)
mutants().catch((error) => {
  explain(error)
  process.exit(1)
})
