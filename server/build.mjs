/** Builds the server: what starts it, its worker thread and its commands, each as one file beside what they share. */
import { rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))

// What an earlier build shared has another name.
rmSync(here('dist'), { recursive: true, force: true })
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
  // Packages stay where they are; core and stand-ins are of the project.
  packages: 'external',
  alias: {
    '@brannik/core': here('../core/src/index.ts'),
    '@brannik/stand-ins': here('../stand-ins/src/index.ts'),
  },
  logLevel: 'warning',
})
