/** The databases of a run: one that holds the demo, from which every other is copied. */
import pg from 'pg'

const CLUSTER = process.env['TEST_DATABASE_URL']

/** Its name, for the workers of this run: another run beside it has its own. Copied, never used: one in use is no template. */
export const templateName = (): string => process.env['E2E_TEMPLATE'] ?? ''

const cluster = (): string => {
  if (!CLUSTER) throw new Error('TEST_DATABASE_URL is not set: run npm test, or see CONTRIBUTING.md')
  return CLUSTER
}

export function urlOf(database: string): string {
  const url = new URL(cluster())
  url.pathname = `/${database}`
  return url.href
}

/** Runs a statement in the cluster itself. */
export async function administer(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: cluster() })
  await client.connect()
  try {
    await client.query(sql)
  } finally {
    await client.end()
  }
}
