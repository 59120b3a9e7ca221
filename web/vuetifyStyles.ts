/**
 * Vuetify's styles with our settings, compiled in one go. One by one, as its own plugin does it, each of a hundred and
 * fifty files reads all settings anew: three quarters of the time of a build.
 */
import { existsSync, readdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join, relative } from 'node:path'
import { pathToFileURL } from 'node:url'
import { compileStringAsync } from 'sass'
import type { Plugin } from 'vite'

const LIB = join(dirname(createRequire(import.meta.url).resolve('vuetify/package.json')), 'lib')
/** Vite takes what has the ending of a style for one. */
const VIRTUAL = 'virtual:vuetify-style/'

const sourceOf = (css: string): string | undefined =>
  ['.sass', '.scss']
    .map((ending) => css.replace(/\.css$/, ending))
    .find((file) => existsSync(join(LIB, file)))

/** A comment that says where the next file begins: Sass writes out modules in the order in which they are used. */
const MARK = /\/\*! part (\d+) \*\//

/** @returns styles by the file that asks for them, relative to Vuetify's own */
async function compileAll(settings: string): Promise<ReadonlyMap<string, string>> {
  const names = readdirSync(LIB, { recursive: true, encoding: 'utf8' })
    .filter((name) => /^(components|directives|styles)\/.*\.css$/.test(name) && name !== 'styles/main.css')
    .sort()
    .filter((name) => sourceOf(name) !== undefined)
  // What all others rest on comes first.
  const files = ['styles/main.css', ...names]
  const uses = files.map(
    (name, index) =>
      `@use "part:${index}" as m${index};\n@use "${pathToFileURL(join(LIB, sourceOf(name) ?? '')).href}" as f${index};`,
  )
  const { css } = await compileStringAsync(`@use "${pathToFileURL(settings).href}";\n${uses.join('\n')}`, {
    importers: [
      {
        canonicalize: (url) => (/^part:\d+$/.test(url) ? new URL(url) : null),
        load: ({ pathname }) => ({ contents: `/*! part ${pathname} */`, syntax: 'scss' }),
      },
      { findFileUrl: (url) => (url.startsWith('file:///') ? new URL(url) : null) },
      {
        findFileUrl: (url) =>
          url.startsWith('vuetify/') ? pathToFileURL(join(LIB, 'styles', url.slice(8))) : null,
      },
    ],
    style: 'expanded',
  })
  const [, ...parts] = css.split(MARK)
  const styles = new Map<string, string>()
  for (let index = 0; index < parts.length; index += 2)
    styles.set(files[Number(parts[index])] ?? '', parts[index + 1] ?? '')
  return styles
}

/** @param settings file that sets Vuetify's variables */
export function vuetifyStyles(settings: string): Plugin {
  let styles: Promise<ReadonlyMap<string, string>> | null = null
  return {
    name: 'vuetify-styles',
    enforce: 'pre',
    async resolveId(source, importer = '') {
      if (source.startsWith(VIRTUAL)) return source
      if (source !== 'vuetify/styles' && !(source.endsWith('.css') && importer.startsWith(LIB))) return null
      const found = await this.resolve(source, importer, { skipSelf: true })
      return found ? `${VIRTUAL}${relative(LIB, found.id.replace(/\?.*$/, ''))}` : null
    },
    async load(id) {
      if (!id.startsWith(VIRTUAL)) return null
      styles ??= compileAll(settings)
      const name = id.slice(VIRTUAL.length)
      const css = (await styles).get(name)
      if (css === undefined) throw new Error(`Vuetify has no style ${name}`)
      return css
    },
  }
}
