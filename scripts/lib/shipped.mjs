/** What ships beside our own code: the list of it, its licences, and whether any of it is known to be unsafe. */
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { quiet, Remedy, ROOT } from './run.mjs'

/** Name and version of each package that a start installs, by the lock file: its own mark says what is for development alone. */
function shippedPackages() {
  const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'))
  return new Set(
    Object.entries(packages)
      .filter(([place, { dev, link }]) => place.includes('node_modules/') && !dev && !link)
      .map(([place, { name, version }]) => `${name ?? place.split('node_modules/').at(-1)}@${version}`),
  )
}

/**
 * @returns the bill of materials, CycloneDX JSON, by npm itself. It is asked for all and sorted here: told to leave out
 * what is for development, npm 11 leaves out what the tests use as well as the server.
 */
export function billOfMaterials() {
  const done = quiet('npm', ['sbom', '--sbom-format', 'cyclonedx', '--package-lock-only', '--loglevel=error'])
  if (!done.ok) throw new Remedy(`npm sbom failed (it needs npm 10.1 or newer):\n${done.err.trim()}`)
  const bill = JSON.parse(done.out)
  const shipped = shippedPackages()
  const components = bill.components.filter(({ name, version }) => shipped.has(`${name}@${version}`))
  const refs = new Set([...components.map((one) => one['bom-ref']), bill.metadata.component['bom-ref']])
  return {
    ...bill,
    components,
    dependencies: bill.dependencies
      .filter(({ ref }) => refs.has(ref))
      .map(({ ref, dependsOn }) => ({ ref, dependsOn: dependsOn.filter((one) => refs.has(one)) })),
  }
}

const LICENCE = /^(licen[cs]e|copying|notice)([.-].*)?$/i

/** Texts of the licences that a package brings; of one for another kind of machine there are none. */
function licencesOf(name) {
  const folder = join(ROOT, 'node_modules', name)
  if (!existsSync(folder)) return null
  return readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isFile() && LICENCE.test(entry.name))
    .map((entry) => readFileSync(join(folder, entry.name), 'utf8').trim())
}

const licenceName = ({ licenses = [] }) =>
  licenses.map((one) => one.expression ?? one.license?.id ?? one.license?.name).join(', ') || 'not set'

/** @param bill of materials @returns one text: each package with its version, licence, and the licence's words */
export function notices(bill) {
  const line = '-'.repeat(80)
  const parts = bill.components.map((one) => {
    const { name } = one
    const texts = licencesOf(name)
    const words =
      texts === null
        ? 'Not installed on this machine.'
        : texts.join('\n\n') || 'It brings no text of its licence.'
    return `${line}\n${name} ${one.version}\nLicence: ${licenceName(one)}\n\n${words}\n`
  })
  return `Brannik is built of these packages, each under its own licence.\n\n${parts.join('\n')}`
}

/**
 * @param audit what `npm audit --json` wrote
 * @returns `{ words, isUnsafe }`; isUnsafe null where the registry did not say
 */
export function judged(audit) {
  let answer
  try {
    answer = JSON.parse(audit)
  } catch {
    answer = {}
  }
  const counts = answer.metadata?.vulnerabilities
  if (!counts)
    return {
      isUnsafe: null,
      words: `Not checked for known vulnerabilities: the registry does not answer that question here (${answer.message ?? 'no answer'}). Ask again where it does: npm run ship.`,
    }
  const found = Object.values(answer.vulnerabilities ?? {}).map(
    ({ name, severity, range }) => `  ${severity}: ${name} ${range}`,
  )
  return {
    isUnsafe: counts.high + counts.critical > 0,
    words:
      counts.total === 0
        ? 'No known vulnerability.'
        : `Known vulnerabilities: ${counts.total}, of them ${counts.high + counts.critical} high or critical.\n${found.join('\n')}`,
  }
}
