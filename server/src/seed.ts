/** Loads the demo shop into an empty database, and only there. */
import { type Database, inTransaction } from './database.ts'
import { type DemoId, demoShop } from './demoShop.ts'
import { recordDemoLog } from './demoLog.ts'
import { takeTurn } from './migrate.ts'
import { isEmpty } from './stores/records.ts'
import { replaceWhole } from './stores/whole.ts'

/** @returns whether anything was loaded */
export async function seed(database: Database, demo: DemoId = 'inch'): Promise<boolean> {
  const whole = await demoShop(demo)
  return inTransaction(
    database,
    async (connection) => {
      await takeTurn(connection)
      if (!(await isEmpty(connection))) return false
      await replaceWhole(connection, whole)
      await recordDemoLog(connection, demo)
      return true
    },
    { who: 'the demo', id: null, kind: null },
  )
}
