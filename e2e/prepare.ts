/** Before all tests: the demo in a database, from which each test gets its own. */
import { randomBytes } from 'node:crypto'
import { administer, urlOf } from './databases.ts'
import { anyFreePort, Server } from './server.ts'

export default async function prepare(): Promise<() => Promise<void>> {
  const name = `e2e_demo_${randomBytes(6).toString('hex')}`
  process.env['E2E_TEMPLATE'] = name
  await administer(`create database ${name}`)
  const server = new Server(await anyFreePort(), urlOf(name))
  await server.start()
  await server.kill()
  return () => administer(`drop database if exists ${name} with (force)`)
}
