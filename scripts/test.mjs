/**
 * `npm test`: format, lint, types, unit, database and browser tests on a database of its own; ends with the count. What
 * only reads the sources runs beside the tests. `npm run test:long` gives the properties many more tries.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { buildServer, buildWeb } from './lib/built.mjs'
import { DATA, installDebian, installNpm } from './lib/packages.mjs'
import { temporaryPostgres } from './lib/postgres.mjs'
import { exists, explain, quietly, ROOT } from './lib/run.mjs'
import { BROWSER } from './lib/stage.mjs'

const REPORTS = join(DATA, 'reports')
const tally = { passed: 0, failed: 0 }
const stages = []

const say = (line) => process.stdout.write(`${line}\n`)
const began = performance.now()
const seconds = (from) => `${((performance.now() - from) / 1000).toFixed(0)} s`

/** What it does is a stage, whose time the end names. */
async function stage(name, work) {
  const from = performance.now()
  await work()
  stages.push(`${name} ${seconds(from)}`)
}

/** A check that passes or fails as a whole. */
async function whole(name, command, args) {
  const from = performance.now()
  const done = await quietly(command, args)
  tally[done.ok ? 'passed' : 'failed'] += 1
  say(`${done.ok ? 'ok  ' : 'FAIL'} ${name} (${seconds(from)})`)
  if (!done.ok) say(`${done.out}${done.err}`)
}

/** A test run that counts its own tests into a JSON report. */
async function counted(name, args, env, count) {
  const report = join(REPORTS, `${name}.json`)
  const from = performance.now()
  const done = await quietly('npx', ['--no-install', ...args], { env: { ...env, REPORT: report } })
  const {
    passed,
    failed,
    named = [],
  } = existsSync(report) ? count(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 1 }
  tally.passed += passed
  // A runner that ends badly without a failing test has failed all the same.
  tally.failed += !done.ok && failed === 0 ? 1 : failed
  say(
    `${done.ok && failed === 0 ? 'ok  ' : 'FAIL'} ${name}: ${passed} passed, ${failed} failed (${seconds(from)})`,
  )
  // First, where a log that is cut in the middle still shows it.
  for (const one of named) say(`     ${one}`)
  const told = (done.out + done.err).split('\n')
  if (!done.ok) say(told.slice(-200).join('\n'))
  else for (const line of told.filter((one) => one.startsWith('MEASURED '))) say(`     ${line}`)
}

/** Browser tests that did not pass, with why. */
const notPassed = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.flatMap(({ file, line, title, tests }) =>
      tests
        .filter(({ status }) => status === 'unexpected')
        .map(({ results }) => {
          const why = results.flatMap(({ errors }) =>
            errors.map(({ message }) => stripVTControlCharacters(message)),
          )
          return `${file}:${line} ${title}: ${why.join(' | ').slice(0, 1500)}`
        }),
    ),
    ...notPassed(inner),
  ])
const browserCount = ({ stats, suites }) => ({
  passed: stats.expected,
  failed: stats.unexpected,
  named: notPassed(suites),
})

const unitCount = ({ numPassedTests, numFailedTests, numFailedTestSuites, testResults }) => ({
  passed: numPassedTests,
  failed: numFailedTests + (numFailedTestSuites > 0 && numFailedTests === 0 ? 1 : 0),
  named: testResults.flatMap(({ assertionResults }) =>
    assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => `${fullName}: ${failureMessages.join(' ').slice(0, 600)}`),
  ),
})

/** What only reads the sources, each by its own command. */
const CHECKS = [
  ['format', 'format:check'],
  ['types', 'types'],
  ['imports one way', 'layers'],
  ['nothing unused', 'unused'],
  ['lint', 'lint'],
]
async function checks() {
  for (const [name, script] of CHECKS) await whole(name, 'npm', ['run', '--silent', script])
}

/** Servers that are killed while they are written to: they wait more than they work. */
const torture = () =>
  stage('torture', () => whole('torture, short', process.execPath, ['scripts/torture.mjs', '--short']))

async function tests(env) {
  await stage('unit', () =>
    counted(
      'unit',
      ['vitest', 'run', '--reporter=json', `--outputFile=${join(REPORTS, 'unit.json')}`, '--reporter=dot'],
      env,
      unitCount,
    ),
  )
  await stage('browser', () =>
    counted('browser', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], env, browserCount),
  )
}

async function test() {
  await installNpm()
  // curl runs the example of the README; systemd brings the linter of its units.
  const missing = [BROWSER.package, 'curl'].filter((name) => !exists(name))
  if (!exists('systemd-analyze')) missing.push('systemd')
  if (missing.length > 0) installDebian(missing)
  rmSync(REPORTS, { recursive: true, force: true })
  mkdirSync(REPORTS, { recursive: true })
  const cluster = await temporaryPostgres(55870)
  const env = {
    TEST_DATABASE_URL: cluster.url('postgres'),
    CI: process.env.CI ?? '',
    ...(process.argv.includes('--long') ? { TEST_LONG: '1' } : {}),
  }
  const cleanUp = () => cluster.remove()
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.once(signal, () => {
      cleanUp()
      process.exit(130)
    })
  }
  try {
    await stage('build', () => {
      buildWeb()
      buildServer()
    })
    await Promise.all([stage('checks', checks).then(torture), tests(env)])
  } finally {
    cleanUp()
  }
  say(`Stages, checks and torture beside the others: ${stages.join(', ')}; all of it ${seconds(began)}`)
  say(`${tally.passed} passed, ${tally.failed} failed`)
  process.exitCode = tally.failed === 0 ? 0 : 1
}

process.chdir(ROOT)
test().catch((error) => {
  explain(error)
  say(`${tally.passed} passed, ${tally.failed + 1} failed`)
  process.exit(1)
})
