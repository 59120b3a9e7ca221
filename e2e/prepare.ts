/** Before all tests: the demo in a database, from which each test gets its own. */
import { administer, TEMPLATE, urlOf } from './databases.ts'
import { anyFreePort, Server } from './server.ts'

export default async function prepare(): Promise<() => Promise<void>> {
  const drop = (): Promise<void> => administer(`drop database if exists ${TEMPLATE} with (force)`)
  await drop()
  await administer(`create database ${TEMPLATE}`)
  const server = new Server(await anyFreePort(), urlOf(TEMPLATE))
  await server.start()
  await server.kill()
  return drop
}
