/** What is kept: backups, earlier versions of a record, and what was deleted. */
import { createReadStream } from 'node:fs'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { z } from 'zod'
import { backupState, roomFor } from '../backup/clock.ts'
import { isBackupName, listBackups, makeBackup } from '../backup/backup.ts'
import { reading } from '../database.ts'
import { Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'
import { isTight } from '../room.ts'
import { note } from '../stores/audit.ts'
import { deletedRecords, versionOf, versionsOf } from '../stores/history.ts'
import { pathOfKind } from '@brannik/core'
import { kindOrProblem } from '../stores/records.ts'
import { numberInPath, queryOf } from './lists.ts'

const versionsQuery = z.strictObject({
  before: z.coerce.number('must be a version').int().min(1).max(2_147_483_647).optional(),
})

export const historyRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/deleted', 'guest', async (_request, response) => {
    const items = await reading(database, deletedRecords)
    response.json({ items: items.map(({ kind, ...rest }) => ({ path: pathOfKind(kind), ...rest })) })
  })
  api.on('get', '/history/:path/:id', 'guest', async (request, response) => {
    const kind = kindOrProblem(String(request.params['path']))
    const { before } = queryOf(versionsQuery, request)
    const id = String(request.params['id'])
    response.json({
      items: await reading(database, (connection) => versionsOf(connection, kind, id, before ?? null)),
    })
  })
  api.on('get', '/history/:path/:id/:version', 'guest', async (request, response) => {
    const kind = kindOrProblem(String(request.params['path']))
    const version = numberInPath(String(request.params['version']), 'version')
    const id = String(request.params['id'])
    const record = await reading(database, (connection) => versionOf(connection, kind, id, version))
    response.type('application/json').send(`{"version":${version},"record":${record}}`)
  })
}

export const backupRoutes: AddRoutes = (api, { database, ownerUrl, backups, room }) => {
  // Everybody may know how old the latest is; only the owner may have one.
  api.on('get', '/backups', 'guest', async (_request, response) => {
    response.json({
      isPossible: backups.folder !== null,
      keepDays: backups.keepDays,
      everyHours: backups.everyHours,
      hasSecondPlace: backups.secondFolder !== null,
      freeBytes: await roomFor(backups),
      isDiskTight: isTight(room),
      ...(await backupState(backups)),
      items: await listBackups(backups.folder),
    })
  })
  api.on('post', '/backups', 'owner', async (request, response) => {
    const made = await makeBackup(ownerUrl, backups, 'by-hand')
    await note(database, request.actor, { action: 'made a backup', detail: made.name })
    response.status(201).json(made)
  })
  api.on('get', '/backups/:name', 'owner', async (request, response) => {
    const name = String(request.params['name'])
    const found = isBackupName(name) && (await listBackups(backups.folder)).find((one) => one.name === name)
    if (!found || backups.folder === null)
      throw new Problem(404, 'Not here', `There is no backup “${name.slice(0, 80)}”; list the backups.`)
    await note(database, request.actor, { action: 'took a backup out', detail: name })
    response.type('application/octet-stream').attachment(name).set('Content-Length', `${found.bytes}`)
    await pipeline(createReadStream(join(backups.folder, name)), response)
  })
}
