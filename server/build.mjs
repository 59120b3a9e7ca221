/** Builds the server: what starts it, its worker thread and its commands, each as one file beside what they share. */
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))

await build({
  entryPoints: {
    main: here('src/main.ts'),
    thread: here('src/work/worker.ts'),
    user: here('src/cli/user.ts'),
    backup: here('src/cli/backup.ts'),
  },
  outdir: here('dist'),
  bundle: true,
  splitting: true,
  sourcemap: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  // Packages stay where they are; core is of the project.
  packages: 'external',
  alias: { '@brannik/core': here('../core/src/index.ts') },
  logLevel: 'warning',
})
