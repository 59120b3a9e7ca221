/** `npm run dev`: the server restarts and the page reloads as files change. */
import { join } from 'node:path'
import { onlyOnce } from './lib/once.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain } from './lib/run.mjs'

async function dev() {
  installNpm()
  onlyOnce()
  const cluster = await startPostgres({ wanted: join(DATA, 'postgres'), port: 54870 })
  cluster.createDatabase('brannik')
  const port = await freePort(4870)
  const env = {
    DATABASE_URL: cluster.url('brannik'),
    PORT: `${port}`,
    BRANNIK_API: `http://127.0.0.1:${port}`,
  }
  const children = [
    begin('npx', ['tsx', 'watch', '--clear-screen=false', 'server/src/main.ts'], { env }),
    begin('npm', ['run', '--silent', 'dev', '--workspace', 'web'], { env }),
  ]
  const stop = () => {
    for (const child of children) child.kill('SIGTERM')
    cluster.stop()
    process.exit(0)
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

dev().catch((error) => {
  explain(error)
  process.exit(1)
})
