/**
 * `npm run golden`, after a step of the schemas: carries the demo's files up, and writes the golden file of each format's
 * version of today where there is none, from the one before: small samples, with one record of each kind and shape.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { format, resolveConfig } from 'prettier'
import { upcastFile } from '../core/src/kinds/upcasts.ts'
import { FILE_FORMATS, fileVersionOf } from '../core/src/kinds/files.ts'
import { ROOT } from './lib/run.mjs'

const golden = (name, version) => join(ROOT, `core/golden/${name}-${version}.json`)

async function carry(name, from, to) {
  const upcast = upcastFile(name, JSON.parse(readFileSync(from, 'utf8')))
  if (!upcast.ok) throw new Error(`${from} ${upcast.message}`)
  const options = await resolveConfig(to)
  writeFileSync(to, await format(JSON.stringify(upcast.value), { ...options, parser: 'json' }))
  process.stdout.write(`${to}\n`)
}

for (const [name, file] of [
  ['brannik-shop', 'demo/tollgate-orchard-works.json'],
  ['brannik-shop', 'demo/tollgate-orchard-works-metric.json'],
  ['brannik-fit', 'demo/fit-press-frame.json'],
])
  await carry(name, join(ROOT, file), join(ROOT, file))
for (const name of FILE_FORMATS) {
  const version = fileVersionOf(name)
  if (!existsSync(golden(name, version))) await carry(name, golden(name, version - 1), golden(name, version))
}
