/** The place of the data: chosen once, found again, and never exchanged for another without a word. */
import { mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { choosePlace, writeDownPlace } from './place.mjs'

let base
beforeEach(() => {
  base = mkdtempSync(join(tmpdir(), 'brannik-place-'))
})
afterEach(() => rmSync(base, { recursive: true, force: true }))

const at = (...parts) => join(base, ...parts)
const choose = (env = {}, root = at('checkout')) =>
  choosePlace({ env, root, home: at('home'), isRoot: false })
function makeCluster(folder) {
  mkdirSync(folder, { recursive: true })
  writeFileSync(join(folder, 'PG_VERSION'), '15\n')
}

it('is outside the checkout, in the XDG data folder (XDG Base Directory Specification 0.8)', () => {
  expect(choose().cluster).toBe(at('home/.local/share/brannik/postgres'))
  expect(choose({ XDG_DATA_HOME: at('data') }).cluster).toBe(at('data/brannik/postgres'))
  // A relative path is to be ignored.
  expect(choose({ XDG_DATA_HOME: 'data' }).cluster).toBe(at('home/.local/share/brannik/postgres'))
  expect(choosePlace({ env: {}, root: at('c'), home: at('home'), isRoot: true }).cluster).toBe(
    '/var/lib/brannik/postgres',
  )
})

it('is what BRANNIK_DATA says, whatever else there is', () => {
  makeCluster(at('checkout/.data/postgres'))
  expect(choose({ BRANNIK_DATA: at('here') }).cluster).toBe(at('here/postgres'))
})

it('is where an older version put the data, inside the checkout', () => {
  makeCluster(at('checkout/.data/postgres'))
  const place = choose()
  expect(place.cluster).toBe(at('checkout/.data/postgres'))
  expect(place.how).toContain('older version')
})

it('written down, it is found from any checkout; gone, it is missed aloud and nothing is made anew', () => {
  const first = choose()
  makeCluster(first.cluster)
  writeDownPlace(first)
  expect(choose({}, at('another')).cluster).toBe(first.cluster)
  // Another setting of the environment does not lead elsewhere unseen.
  expect(choose({ XDG_DATA_HOME: at('data') }).cluster).toBe(first.cluster)
  renameSync(first.cluster, at('moved'))
  expect(() => choose()).toThrow('BRANNIK_DATA=… npm start')
  expect(() => choose()).toThrow(first.cluster)
})

it('data inside a checkout that was cleaned are missed aloud; a checkout that was moved takes them along', () => {
  makeCluster(at('checkout/.data/postgres'))
  writeDownPlace(choose())
  renameSync(at('checkout'), at('moved'))
  expect(choose({}, at('moved')).cluster).toBe(at('moved/.data/postgres'))
  writeDownPlace(choose({}, at('moved')))
  rmSync(at('moved/.data'), { recursive: true })
  expect(() => choose({}, at('moved'))).toThrow('there are none')
})

it('what is written and cannot be read is no reason to begin anew', () => {
  const { file } = choose()
  mkdirSync(join(file, '..'), { recursive: true })
  for (const text of ['', 'nonsense', '{}', '{"folder":"x","cluster":"relative"}', '[]', 'null']) {
    writeFileSync(file, text)
    expect(() => choose(), text).toThrow('does not')
  }
})

it('is written once, whole', () => {
  const place = choose()
  makeCluster(place.cluster)
  writeDownPlace(place)
  expect(JSON.parse(readFileSync(place.file, 'utf8'))).toEqual({
    folder: place.folder,
    cluster: place.cluster,
  })
})
