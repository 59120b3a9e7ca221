/** A list of 5,000 rows must be read into its preview in under a second. */
import { bench } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { mapColumns, printTable, readTable } from './table.ts'

const joints = demoShop().jobs.flatMap((job) => job.joints)
const many = Array.from({ length: 5000 }, (_, index) => ({
  ...(joints[index % joints.length] ?? joints[0]),
  id: `w${index}`,
})) as typeof joints
const [headings = [], ...rows] = printTable(many)

bench('preview of 5,000 rows', () => {
  readTable(rows, mapColumns(headings), { system: 'imperial', locale: 'en-US' })
})
