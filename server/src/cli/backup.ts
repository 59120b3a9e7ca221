/** `npm run backup [file]` and `npm run restore file [--replace]`, on the database that DATABASE_URL names. */
import { basename, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { COMMAND_LINE } from '../access/actor.ts'
import { backUpTo, makeBackup } from '../backup/backup.ts'
import { connected, type Contents, contentsOf } from '../backup/inspect.ts'
import { restore } from '../backup/restore.ts'
import { readConfig } from '../config.ts'
import { remedyFor } from '../remedies.ts'
import { note } from '../stores/audit.ts'

const USAGE = `npm run backup -- [FILE]             without FILE into the folder of backups
npm run restore -- FILE [--replace]  --replace takes the place of a shop that is there, which is backed up first
npm run restore -- FILE --check      says what is in it, and changes nothing`

/** What is in a backup, in words. */
function spoken({ shop, epoch, schema, counts, changedAt }: Contents): string {
  const things = counts.map(([noun, count]) => `${count} × ${noun}`).join(', ')
  return [
    `Shop:          ${shop}`,
    `Last changed:  ${changedAt?.toISOString() ?? 'not known'}`,
    `It holds:      ${things || 'nothing but the shop'}`,
    `Schema:        ${schema}${epoch === null ? '' : `, shop word ${epoch}`}`,
    'It can be put back: it was, into a scratch database, which is gone again.',
  ].join('\n')
}

async function run(): Promise<string> {
  const { databaseUrl, backups } = readConfig(process.env)
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: { replace: { type: 'boolean', default: false }, check: { type: 'boolean', default: false } },
  })
  const [command = '', file] = positionals
  // A file is named from where the command was given, not from where npm runs it.
  const from = process.env['INIT_CWD'] ?? process.cwd()
  const noteBackup = (detail: string): Promise<void> =>
    connected(databaseUrl, (client) => note(client, COMMAND_LINE, { action: 'made a backup', detail }))
  if (command === 'backup') {
    if (file === undefined) {
      const made = await makeBackup(databaseUrl, backups, 'by-hand')
      await noteBackup(made.name)
      return `The shop is backed up: ${backups.folder ?? ''}/${made.name} (${made.bytes} bytes).`
    }
    await backUpTo(databaseUrl, resolve(from, file))
    await noteBackup(basename(file))
    return `The shop is backed up: ${resolve(from, file)}`
  }
  if (command === 'restore' && file !== undefined && values.check)
    return spoken(await contentsOf(databaseUrl, resolve(from, file)))
  if (command === 'restore' && file !== undefined) {
    const done = await restore(databaseUrl, resolve(from, file), { replaces: values.replace, backups })
    const before = done.before ? ` What was there before is in ${done.before.name}.` : ''
    return `The shop is back, with ${done.contents.records} records.${before} Start Brannik with npm start.`
  }
  return USAGE
}

run().then(
  (words) => process.stdout.write(`${words}\n`),
  (error: unknown) => {
    process.stderr.write(`${remedyFor(error)}\n`)
    process.exitCode = 1
  },
)
