/** What the routes work with. */
import type { Api } from './api.ts'
import type { Access, BackupSettings } from './config.ts'
import type { Database } from './database.ts'
import type { ReadBody } from './documents/body.ts'

export interface Services {
  readonly database: Database
  readonly databaseUrl: string
  readonly access: Access
  readonly backups: BackupSettings
  readonly readBody: ReadBody
}

/** Adds routes to the API. */
export type AddRoutes = (api: Api, services: Services) => void
