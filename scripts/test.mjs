/** `npm test`: format, lint, types, unit, database and browser tests on a database of its own; ends with the count. */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { DATA, installDebian, installNpm } from './lib/packages.mjs'
import { temporaryPostgres } from './lib/postgres.mjs'
import { exists, explain, quiet, ROOT } from './lib/run.mjs'
import { buildWeb } from './lib/web.mjs'

const REPORTS = join(DATA, 'reports')
const tally = { passed: 0, failed: 0 }

const say = (line) => process.stdout.write(`${line}\n`)

/** A check that passes or fails as a whole. */
function whole(name, command, args) {
  const began = performance.now()
  const done = quiet(command, args)
  tally[done.ok ? 'passed' : 'failed'] += 1
  say(`${done.ok ? 'ok  ' : 'FAIL'} ${name} (${((performance.now() - began) / 1000).toFixed(1)} s)`)
  if (!done.ok) say(`${done.out}${done.err}`)
}

/** A test run that counts its own tests into a JSON report. */
function counted(name, command, args, env, count) {
  const report = join(REPORTS, `${name}.json`)
  const began = performance.now()
  const done = quiet(command, args, { env: { ...env, REPORT: report } })
  const {
    passed,
    failed,
    named = [],
  } = existsSync(report) ? count(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 1 }
  tally.passed += passed
  // A runner that ends badly without a failing test has failed all the same.
  tally.failed += !done.ok && failed === 0 ? 1 : failed
  say(
    `${done.ok && failed === 0 ? 'ok  ' : 'FAIL'} ${name}: ${passed} passed, ${failed} failed (${((performance.now() - began) / 1000).toFixed(1)} s)`,
  )
  // First, where a log that is cut in the middle still shows it.
  for (const one of named) say(`     ${one}`)
  const told = (done.out + done.err).split('\n')
  if (!done.ok) say(told.slice(-200).join('\n'))
  else for (const line of told.filter((one) => one.startsWith('MEASURED '))) say(`     ${line}`)
}

/** Browser tests that did not pass at once, with why: those that passed when tried again are named too. */
const notAtOnce = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.flatMap(({ file, line, title, tests }) =>
      tests
        .filter(({ status }) => status === 'unexpected' || status === 'flaky')
        .map(({ status, results }) => {
          const why = results.flatMap(({ errors }) =>
            errors.map(({ message }) => stripVTControlCharacters(message)),
          )
          const what = status === 'flaky' ? 'only when tried again' : 'failed'
          return `${what}: ${file}:${line} ${title}: ${why.join(' | ').slice(0, 1500)}`
        }),
    ),
    ...notAtOnce(inner),
  ])

async function test() {
  installNpm()
  // curl runs the example of the README; systemd brings the linter of its units.
  const missing = ['chromium', 'curl'].filter((name) => !exists(name))
  if (!exists('systemd-analyze')) missing.push('systemd')
  if (missing.length > 0) installDebian(missing)
  rmSync(REPORTS, { recursive: true, force: true })
  mkdirSync(REPORTS, { recursive: true })
  const cluster = await temporaryPostgres(55870)
  const env = { TEST_DATABASE_URL: cluster.url('postgres'), CI: process.env.CI ?? '' }
  const cleanUp = () => cluster.remove()
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.once(signal, () => {
      cleanUp()
      process.exit(130)
    })
  }
  try {
    whole('format', 'npx', ['--no-install', 'prettier', '--check', '.'])
    whole('lint', 'npx', ['--no-install', 'eslint', '.', '--max-warnings', '0'])
    whole('nothing unused', 'npx', ['--no-install', 'knip'])
    for (const room of ['core', 'server', 'web', 'e2e'])
      whole(`types of ${room}`, 'npm', ['run', '--silent', 'types', '--workspace', room])
    // Before the tests that start the whole: none of them waits for it.
    buildWeb()
    counted(
      'unit',
      'npx',
      [
        '--no-install',
        'vitest',
        'run',
        '--reporter=json',
        `--outputFile=${join(REPORTS, 'unit.json')}`,
        '--reporter=dot',
      ],
      env,
      (report) => ({
        passed: report.numPassedTests,
        failed:
          report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0),
        named: report.testResults.flatMap(({ assertionResults }) =>
          assertionResults
            .filter(({ status }) => status === 'failed')
            .map(
              ({ fullName, failureMessages }) => `${fullName}: ${failureMessages.join(' ').slice(0, 600)}`,
            ),
        ),
      }),
    )
    whole('torture, short', process.execPath, ['scripts/torture.mjs', '--short'])
    counted(
      'browser',
      'npx',
      ['--no-install', 'playwright', 'test', '--config', 'e2e/playwright.config.ts'],
      env,
      ({ stats, suites }) => ({
        passed: stats.expected + stats.flaky,
        failed: stats.unexpected,
        named: notAtOnce(suites),
      }),
    )
  } finally {
    cleanUp()
  }
  say(`${tally.passed} passed, ${tally.failed} failed`)
  process.exitCode = tally.failed === 0 ? 0 : 1
}

process.chdir(ROOT)
test().catch((error) => {
  explain(error)
  say(`${tally.passed} passed, ${tally.failed + 1} failed`)
  process.exit(1)
})
