/** What is said of the packages that ship: complete by the lock file, and honest where the registry is silent. */
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { billOfMaterials, judged, notices } from './lib/shipped.mjs'

const lock = JSON.parse(readFileSync(new URL('../package-lock.json', import.meta.url), 'utf8'))
const bill = billOfMaterials()

it('the bill is CycloneDX, and every package in it has what a reader looks for (CycloneDX 1.5, from memory)', () => {
  expect(bill).toMatchObject({ bomFormat: 'CycloneDX', specVersion: expect.stringMatching(/^1\.[5-9]$/) })
  const others = bill.components
  expect(others.length).toBeGreaterThan(200)
  for (const { name, version, purl, licenses, hashes } of others) {
    expect([name, purl]).toEqual([name, `pkg:npm/${name.replace('@', '%40')}@${version}`])
    expect([name, licenses?.length ?? 0]).toEqual([name, expect.any(Number)])
    expect([name, hashes?.[0]?.alg]).toEqual([name, 'SHA-512'])
  }
})

it('the bill has what a start installs, and nothing of the tests', () => {
  const named = new Set(bill.components.map(({ name, version }) => `${name}@${version}`))
  const has = (name) => named.has(`${name}@${lock.packages[`node_modules/${name}`].version}`)
  for (const name of ['express', 'pg', 'vue', 'zod', '@node-rs/argon2'])
    expect([name, has(name)]).toEqual([name, true])
  for (const name of ['vitest', '@playwright/test', 'eslint', 'typescript-eslint'])
    expect([name, has(name)]).toEqual([name, false])
})

it('no part of it rests on what is not in it', () => {
  const refs = new Set(bill.components.map((one) => one['bom-ref']))
  for (const { dependsOn } of bill.dependencies) for (const ref of dependsOn) expect(refs).toContain(ref)
  expect(bill.dependencies.length).toBeGreaterThan(200)
})

it('the notices carry the words of the licences', () => {
  const text = notices(bill)
  expect(text).toMatch(
    /\nexpress \d+\.\d+\.\d+\nLicence: MIT\n\n[^]*?Permission is hereby granted, free of charge/,
  )
  expect(text).not.toContain('@brannik/')
})

it('a registry that does not answer is said to be silent, and one that does is heard', () => {
  expect(judged('')).toMatchObject({ isUnsafe: null, words: expect.stringContaining('Not checked') })
  expect(judged('{"message":"405 Method Not Allowed"}').words).toContain('405')
  const counts = { info: 0, low: 1, moderate: 0, high: 0, critical: 0, total: 1 }
  const answer = (vulnerabilities) => JSON.stringify({ metadata: { vulnerabilities }, vulnerabilities: {} })
  expect(judged(answer({ ...counts, low: 0, total: 0 }))).toEqual({
    isUnsafe: false,
    words: 'No known vulnerability.',
  })
  expect(judged(answer(counts)).isUnsafe).toBe(false)
  expect(judged(answer({ ...counts, high: 1, total: 2 })).isUnsafe).toBe(true)
  expect(judged(answer({ ...counts, critical: 1, total: 2 })).isUnsafe).toBe(true)
})
