/** `npm run ship`: what goes out with Brannik, as an SBOM (CycloneDX) and third-party notices; and what is known against it. */
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { DATA, installNpm } from './lib/packages.mjs'
import { explain, quiet } from './lib/run.mjs'
import { billOfMaterials, judged, notices } from './lib/shipped.mjs'

async function ship() {
  await installNpm({ isWhole: false })
  const folder = join(DATA, 'ship')
  mkdirSync(folder, { recursive: true })
  const bill = billOfMaterials()
  const write = (name, text) => {
    writeFileSync(join(folder, name), text)
    process.stdout.write(`${join(folder, name)}\n`)
  }
  write('brannik.cdx.json', `${JSON.stringify(bill, null, 2)}\n`)
  write('THIRD-PARTY.txt', notices(bill))
  const { words, isUnsafe } = judged(quiet('npm', ['audit', '--omit=dev', '--json', '--loglevel=silent']).out)
  process.stdout.write(`${bill.components.length} packages. ${words}\n`)
  return isUnsafe === true ? 1 : 0
}

ship().then(
  (code) => process.exit(code),
  (error) => {
    explain(error)
    process.exit(1)
  },
)
