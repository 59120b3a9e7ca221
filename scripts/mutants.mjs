/**
 * `npm run mutants`: changes the program in small ways and asks whether a test notices; one line of JSON a folder, with
 * the share that was noticed, and the exit is 1 where that is less than wanted.
 *
 *     npm run mutants                        every folder, which takes hours
 *     npm run mutants -- core/src/duty       some
 *     npm run mutants -- --since HEAD~3      files that have changed since, with what is not committed
 *     npm run mutants -- --one-in 10         a tenth of the lines, spread over all files: an estimate
 *     npm run mutants -- --show core/src/duty    and what went unnoticed, line by line
 *     npm run mutants -- --own core/src/duty     by the tests of the folder alone: minutes, and no more than a lower bound
 */
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { CORE_ROOMS } from './lib/layers.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { temporaryPostgres } from './lib/postgres.mjs'
import { explain, quiet, Remedy, ROOT } from './lib/run.mjs'

const WANTED_PCT = 85
const FOLDERS = [...CORE_ROOMS.map((room) => `core/src/${room}`), 'server/src', 'web/src/shop']
const REPORT = join(DATA, 'mutants.json')
const CONFIG = join(DATA, 'stryker.json')
/** Lines that are looked at together, so that whole statements fall into them. */
const STRETCH = 25
const NOTICED = ['Killed', 'Timeout']
const UNNOTICED = ['Survived', 'NoCoverage']

const partOf = (folder) => folder.split('/')[0]
/** A process or a thread of its own: its tests start it as built, where nothing is changed and nothing is seen. */
const RUNS_APART = /^server\/src\/(main|cli\/\w+|work\/worker)\.ts$/
const isCode = (file) =>
  /\.ts$/.test(file) &&
  !/\.(test|bench)\.ts$|\/testing(\.ts|\/)|prepareTests/.test(file) &&
  !RUNS_APART.test(file)

/** Files that git names. */
function gitFiles(...args) {
  const { ok, out, err } = quiet('git', args)
  if (!ok)
    throw new Remedy(`git does not answer: ${err.trim()}. Behind --since name a commit, such as HEAD~3.`)
  return out.split('\n').filter((file) => file !== '')
}
const changedSince = (ref) => [
  ...gitFiles('diff', '--name-only', ref, '--'),
  ...gitFiles('ls-files', '--others', '--exclude-standard'),
]
/** All files of a folder, whether committed yet or not. */
const filesOf = (folder) =>
  gitFiles('ls-files', '--cached', '--others', '--exclude-standard', folder).filter((file) =>
    existsSync(file),
  )

/** One stretch of lines in so many, the same ones every time; all of a file where it is one in one. */
function stretchesOf(file, oneIn) {
  if (oneIn === 1) return [file]
  const lines = readFileSync(file, 'utf8').split('\n').length
  const first = [...file].reduce((sum, letter) => sum + letter.charCodeAt(0), 0) % oneIn
  const stretches = []
  for (let from = first * STRETCH + 1; from <= lines; from += oneIn * STRETCH)
    stretches.push(`${file}:${from}-${Math.min(from + STRETCH - 1, lines)}`)
  return stretches
}

/**
 * One run of Stryker.
 * @param mutate files, or stretches of them
 * @param tests a pattern of the test files that are asked; all of the part where it is null
 * @returns what becomes of each mutant
 */
function mutantsOf(part, mutate, tests, env) {
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
      // All tests of the server take four minutes on a busy machine.
      dryRunTimeoutMinutes: 30,
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
    env: { ...process.env, ...env, ...(tests === null ? {} : { MUTANTS_TESTS: tests }) },
  })
  if (status !== 0 || !existsSync(REPORT)) throw new Error(`Stryker ended with ${status} in ${part}`)
  return Object.entries(JSON.parse(readFileSync(REPORT, 'utf8')).files).flatMap(
    ([file, { mutants: found }]) => found.map((one) => ({ file, ...one })),
  )
}

const isOneFolder = (part) => FOLDERS.filter((one) => partOf(one) === part).length === 1
/** Whether it has tests of its own, which are not all of its part's. */
const hasOwnTests = (folder) =>
  !isOneFolder(partOf(folder)) && filesOf(folder).some((file) => file.endsWith('.test.ts'))
const isUnnoticed = ({ status }) => UNNOTICED.includes(status)
const keyOf = ({ file, location: { start, end }, mutatorName, replacement }) =>
  [file, start.line, start.column, end.line, end.column, mutatorName, replacement].join(' ')
/** Where it is, as Stryker is asked for it: it counts lines from one and columns from nought. */
const placeOf = ({ file, location: { start, end } }) =>
  `${file}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`

/**
 * Each folder's own tests are asked first, for most mutants they notice and are quick; then all tests of the part, of
 * what they let pass and of the folders without any.
 */
function fateOf(part, asked, env, isOwnAlone) {
  const own = asked.filter(({ folder }) => hasOwnTests(folder))
  const first = own.flatMap(({ folder, mutate }) => mutantsOf(part, mutate, `${folder}/**/*.test.ts`, env))
  // Where a part is one folder, all of its tests are its own.
  if (isOwnAlone && !isOneFolder(part)) return first
  const left = [
    ...new Set(first.filter(isUnnoticed).map(placeOf)),
    ...asked.filter((one) => !own.includes(one)).flatMap(({ mutate }) => mutate),
  ]
  const second = left.length === 0 ? [] : mutantsOf(part, left, null, env)
  // Where a place holds several, what was noticed already stays so.
  const fates = [...first, ...second, ...first.filter((one) => !isUnnoticed(one))]
  return [...new Map(fates.map((one) => [keyOf(one), one])).values()]
}

function tell(folder, mutantsOfPart, oneIn, isShown) {
  const all = mutantsOfPart.filter(({ file }) => file.startsWith(`${folder}/`))
  const noticed = all.filter(({ status }) => NOTICED.includes(status)).length
  const unnoticed = all.filter(isUnnoticed)
  const of = noticed + unnoticed.length
  const pct = of === 0 ? null : Math.round((noticed / of) * 1000) / 10
  process.stdout.write(
    `${JSON.stringify({ figure: `mutants-${folder}`, value: pct, unit: '%', noticed, of, oneIn, wanted: WANTED_PCT })}\n`,
  )
  if (isShown)
    for (const { file, location, mutatorName, replacement } of unnoticed)
      process.stdout.write(
        `  ${file}:${location.start.line} ${mutatorName}: ${(replacement ?? '').slice(0, 100)}\n`,
      )
  return pct === null || pct >= WANTED_PCT
}

/** What stands behind a word of the command, taken out of the words that are left. */
function taken(args, name, example) {
  const at = args.indexOf(name)
  if (at < 0) return null
  const [, value] = args.splice(at, 2)
  if (value === undefined) throw new Remedy(`${name} wants ${example}.`)
  return value
}

async function mutants() {
  await installNpm()
  const args = process.argv.slice(2)
  const since = taken(args, '--since', 'a commit, such as HEAD~3')
  const oneIn = Number(taken(args, '--one-in', 'a whole number, such as 10') ?? 1)
  if (!Number.isInteger(oneIn) || oneIn < 1) throw new Remedy('--one-in wants a whole number, such as 10.')
  const named = args.filter((one) => !['--show', '--own'].includes(one))
  const unknown = named.find((one) => !FOLDERS.includes(one))
  if (unknown) throw new Remedy(`${unknown} is no folder that is tested so. There are: ${FOLDERS.join(', ')}`)
  const changed = since === null ? null : changedSince(since)
  const asked = (named.length > 0 ? named : FOLDERS).map((folder) => ({
    folder,
    mutate: filesOf(folder)
      .filter((file) => isCode(file) && (changed?.includes(file) ?? true))
      .flatMap((file) => stretchesOf(file, oneIn)),
  }))
  let isWell = true
  for (const part of new Set(FOLDERS.map(partOf))) {
    const own = asked.filter(({ folder, mutate }) => partOf(folder) === part && mutate.length > 0)
    if (own.length === 0) continue
    const cluster = part === 'server' ? await temporaryPostgres(57870) : null
    try {
      // Each mutant that nothing notices waits for every test that reaches it.
      const env = { TEST_SHORT: '1', ...(cluster ? { TEST_DATABASE_URL: cluster.url('postgres') } : {}) }
      const found = fateOf(part, own, env, args.includes('--own'))
      for (const { folder } of own) isWell = tell(folder, found, oneIn, args.includes('--show')) && isWell
    } finally {
      cluster?.remove()
    }
  }
  process.exitCode = isWell ? 0 : 1
}

process.chdir(ROOT)
mutants().catch((error) => {
  explain(error)
  process.exit(1)
})
