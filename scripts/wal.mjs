/**
 * `npm run wal -- base`: a base backup into WAL_FOLDER, while Brannik runs. `npm run wal -- recover TIME PLACE`: the shop as it
 * was at that moment, in a place of its own; the shop that runs is not touched.
 */
import { join, resolve } from 'node:path'
import { choosePlace } from './lib/place.mjs'
import { layDownCluster, startPostgres } from './lib/postgres.mjs'
import { explain, Remedy } from './lib/run.mjs'
import { newBase } from './lib/wal.mjs'

const USAGE = `WAL_FOLDER=/another/disk npm run wal -- base
WAL_FOLDER=/another/disk npm run wal -- recover 2026-11-28T14:05:00 /a/new/place`

async function base(walFolder) {
  const place = choosePlace()
  const cluster = await startPostgres({ folder: place.cluster, port: 54870, walFolder })
  try {
    const into = newBase(walFolder)
    cluster.baseBackup(into)
    return `${into}\nFrom this moment on the shop can be brought back to any minute.`
  } finally {
    if (!cluster.wasRunning) await cluster.stop()
  }
}

async function wal() {
  const [command, when = '', into = ''] = process.argv.slice(2)
  const walFolder = process.env.WAL_FOLDER
  if (!walFolder || !['base', 'recover'].includes(command)) throw new Remedy(USAGE)
  if (command === 'base') return base(walFolder)
  const time = new Date(when)
  if (Number.isNaN(time.getTime()) || into === '') throw new Remedy(USAGE)
  const place = resolve(into)
  layDownCluster(walFolder, time, join(place, 'postgres'))
  return `Look at it: BRANNIK_DATA=${place} npm start\nThe shop as of ${time.toString()}. The one that runs was not touched.`
}

wal().then(
  (words) => process.stdout.write(`${words}\n`),
  (error) => {
    explain(error)
    process.exit(1)
  },
)
