/** `npm run dev`: the server restarts and the page reloads as files change. */
import { join } from 'node:path'
import { onlyOnce } from './lib/once.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain } from './lib/run.mjs'

async function dev() {
  await installNpm()
  // A shop of its own: whoever changes the program should not do so on the owner's data.
  const folder = join(DATA, 'dev')
  await onlyOnce(folder)
  const cluster = await startPostgres({ folder: join(folder, 'postgres'), port: 54870 })
  cluster.createDatabase('brannik')
  const port = await freePort(4870)
  const env = {
    DATABASE_URL: cluster.url('brannik'),
    DEMO: '1',
    // Whoever changes the program opens many browsers.
    THIS_MACHINE: 'open',
    PORT: `${port}`,
    BACKUP_FOLDER: join(folder, 'backups'),
    LOG_LEVEL: 'warn',
    BRANNIK_API: `http://127.0.0.1:${port}`,
  }
  const children = [
    begin('npx', ['tsx', 'watch', '--clear-screen=false', 'server/src/main.ts'], { env }),
    begin('npm', ['run', '--silent', 'dev', '--workspace', 'web'], { env }),
  ]
  const stop = async () => {
    for (const child of children) child.kill('SIGTERM')
    await cluster.stop()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => void stop())
}

dev().catch((error) => {
  explain(error)
  process.exit(1)
})
