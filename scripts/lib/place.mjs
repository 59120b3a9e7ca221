/**
 * Where the shop's data lie: chosen once, written down, and never another place without a word. Outside the checkout,
 * so that a clean of the checkout takes nothing along; data that an older version put inside it are found and kept.
 */
import { createHash } from 'node:crypto'
import { readFileSync, statSync } from 'node:fs'
import { homedir } from 'node:os'
import { isAbsolute, join, resolve } from 'node:path'
import { writeDurably } from './durable.mjs'
import { Remedy, ROOT } from './run.mjs'

/** @returns what stands there; null where nothing does */
function statOf(path) {
  try {
    return statSync(path)
  } catch (error) {
    if (error.code === 'ENOENT' || error.code === 'ENOTDIR') return null
    throw new Remedy(
      `${path} cannot be looked at (${error.code}). Nothing was touched. Give this user the right to enter it, then start again.`,
    )
  }
}

const isCluster = (folder) => statOf(join(folder, 'PG_VERSION')) !== null

/** Where an older version put the cluster when root started it in a folder that the postgres user cannot enter. */
const oldRootCluster = (root) =>
  `/var/lib/postgresql/brannik-${createHash('sha256').update(join(root, '.data/postgres')).digest('hex').slice(0, 12)}`

/** XDG Base Directory Specification: absolute paths count, others are to be ignored. */
const xdg = (value, otherwise) => (value && isAbsolute(value) ? value : otherwise)

/**
 * @returns {{ folder: string, cluster: string, how: string, file: string | null }} the folder of backups, log and the
 *   rest, the cluster's own folder, why it is this one, and the file in which that stands
 * @throws Remedy where the place that was written down is gone
 */
export function choosePlace({
  env = process.env,
  root = ROOT,
  home = homedir(),
  isRoot = process.getuid?.() === 0,
} = {}) {
  if (env.BRANNIK_DATA) {
    const folder = resolve(env.INIT_CWD ?? process.cwd(), env.BRANNIK_DATA)
    return { folder, cluster: join(folder, 'postgres'), how: 'BRANNIK_DATA says so', file: null }
  }
  const file = join(xdg(env.XDG_CONFIG_HOME, join(home, '.config')), 'brannik', 'place.json')
  const own = join(root, '.data')
  if (isCluster(join(own, 'postgres')))
    return {
      folder: own,
      cluster: join(own, 'postgres'),
      how: 'they stand in this checkout since an older version',
      file,
    }
  const usual = isRoot
    ? '/var/lib/brannik'
    : join(xdg(env.XDG_DATA_HOME, join(home, '.local/share')), 'brannik')
  if (isRoot && isCluster(oldRootCluster(root)))
    return {
      folder: usual,
      cluster: oldRootCluster(root),
      how: 'they stand there since an older version',
      file,
    }
  const written = readPlace(file)
  if (written) {
    if (!isCluster(written.cluster)) throw goneFrom(written.cluster, file)
    return { ...written, how: `chosen before, see ${file}`, file }
  }
  return {
    folder: usual,
    cluster: join(usual, 'postgres'),
    how: 'the usual place for data of programs',
    file,
  }
}

const goneFrom = (cluster, file) =>
  new Remedy(
    `The shop’s data are written down to be in ${cluster}, and there are none.\n` +
      `If the disk is not there, mount it. If they were moved, say where: BRANNIK_DATA=… npm start.\n` +
      `To begin anew on purpose, delete ${file} first. Nothing was made or touched.`,
  )

function readPlace(file) {
  let text
  try {
    text = readFileSync(file, 'utf8')
  } catch (error) {
    if (error.code === 'ENOENT' || error.code === 'ENOTDIR') return null
    throw new Remedy(
      `${file} cannot be read (${error.code}). It says where the shop’s data are; give this user the right to read it.`,
    )
  }
  try {
    const { folder, cluster } = JSON.parse(text)
    if (isAbsolute(folder) && isAbsolute(cluster)) return { folder, cluster }
  } catch {
    // Said below.
  }
  throw new Remedy(
    `${file} should say where the shop’s data are, and does not. Correct it ({"folder": …, "cluster": …}), or say it: BRANNIK_DATA=… npm start.`,
  )
}

/** Once there is a shop: the next start finds the same one, whatever becomes of this checkout. */
export function writeDownPlace({ folder, cluster, file }) {
  if (file === null) return
  const text = `${JSON.stringify({ folder, cluster }, null, 2)}\n`
  try {
    if (readFileSync(file, 'utf8') === text) return
  } catch {
    // Not written yet.
  }
  writeDurably(file, text, 0o644)
}
