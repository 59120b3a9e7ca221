/** What the routes work with. */
import type { Response } from 'express'
import type { Api } from './api.ts'
import type { Actor } from './access/actor.ts'
import type { Access, BackupSettings } from './config.ts'
import type { Changes } from './changes.ts'
import type { Database } from './database.ts'
import type { Monitor } from './monitor.ts'
import type { Room } from './room.ts'
import type { SupplierLine } from './supplier.ts'
import type { ReadBody } from './documents/body.ts'

export interface Services {
  readonly database: Database
  /** Of the owner of the tables, who makes backups. */
  readonly ownerUrl: string
  readonly access: Access
  readonly backups: BackupSettings
  readonly readBody: ReadBody
  readonly changes: Changes
  /** Answers that stay open: pages that wait for changes. */
  readonly streams: Map<Response, Actor>
  readonly room: Room
  readonly monitor: Monitor
  readonly supplier: SupplierLine
}

/** Adds routes to the API. */
export type AddRoutes = (api: Api, services: Services) => void
