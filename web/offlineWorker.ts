/**
 * Builds the service worker once the pages are built, and tells it which files there are. The files of a page have their
 * content in their name; the others have a hash beside it.
 */
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, type Plugin, type ResolvedConfig } from 'vite'

const WORKER = 'worker.js'
const IS_KEPT = /\.(js|css|html|svg|woff2|webmanifest)$/
const HAS_HASH = /^assets\//

const hashOf = (file: string): string =>
  createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 32)

/** @returns what `workbox-precaching` takes as its entries */
function filesIn(folder: string): readonly { readonly url: string; readonly revision: string | null }[] {
  const names = readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) =>
    name.replaceAll('\\', '/'),
  )
  return names
    .filter((name) => IS_KEPT.test(name) && name !== WORKER)
    .sort()
    .map((url) => ({ url, revision: HAS_HASH.test(url) ? null : hashOf(join(folder, url)) }))
}

/** @param plugins of the worker's own build */
export function offlineWorker(plugins: readonly Plugin[]): Plugin {
  let config: ResolvedConfig
  return {
    name: 'offline-worker',
    apply: 'build',
    configResolved(resolved) {
      config = resolved
    },
    async closeBundle() {
      const { root } = config
      const outDir = join(root, config.build.outDir)
      await build({
        root,
        configFile: false,
        publicDir: false,
        logLevel: 'warn',
        plugins: [...plugins],
        define: { 'self.__WB_MANIFEST': JSON.stringify(filesIn(outDir)) },
        build: {
          outDir,
          emptyOutDir: false,
          target: config.build.target,
          rolldownOptions: {
            input: join(root, 'offline/worker.ts'),
            output: { entryFileNames: WORKER, codeSplitting: false },
          },
        },
      })
    },
  }
}
