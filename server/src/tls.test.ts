/** TLS in the shop's own network: certificates that other programs take, and the server that shows them. */
import { execFile } from 'node:child_process'
import { X509Certificate } from 'node:crypto'
import { mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { get } from 'node:https'
import { hostname, tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addAccount } from './access/accounts.ts'
import { readConfig } from './config.ts'
import { inTransaction, openDatabase } from './database.ts'
import { demoDatabase, type Process, startProcess } from './testing.ts'
import { ownCertificate } from './tls/authority.ts'

const run = promisify(execFile)
const openssl = async (...args: string[]): Promise<string> => {
  const { stdout, stderr } = await run('openssl', args).catch(
    (error: unknown) => error as { stdout: string; stderr: string },
  )
  return stdout + stderr
}
let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'brannik-tls-'))
})
afterAll(async () => {
  await rm(folder, { recursive: true, force: true })
})

describe('a certificate of the shop’s own', () => {
  const NAMES = ['localhost', '127.0.0.1', '192.168.7.20', 'fd00::20', 'gate.local']
  it('is taken by another program for each private name, and for no other (openssl verify, RFC 5280)', async () => {
    await ownCertificate(join(folder, 'a'), NAMES)
    const made = await ownCertificate(join(folder, 'a'), [...NAMES, 'bank.example', '203.0.113.9'])
    const [authority, server] = [join(folder, 'a.authority'), join(folder, 'a.server')]
    await writeFile(authority, made.authority)
    await writeFile(server, made.cert)
    const verify = (kind: string, name: string) => openssl('verify', '-CAfile', authority, kind, name, server)
    for (const name of ['localhost', 'gate.local'])
      expect(await verify('-verify_hostname', name)).toContain('OK')
    for (const name of ['127.0.0.1', '192.168.7.20', 'fd00::20'])
      expect(await verify('-verify_ip', name)).toContain('OK')
    // Of names that somebody could buy none goes in.
    expect(await verify('-verify_hostname', 'bank.example')).toContain('hostname mismatch')
    expect(await verify('-verify_ip', '203.0.113.9')).toContain('IP address mismatch')
    const text = await openssl('x509', '-in', authority, '-noout', '-text')
    expect(text).toMatch(/Name Constraints: critical\s+Permitted:\s+DNS:localhost/)
    expect(text).toContain('CA:TRUE, pathlen:0')
    expect(text).toMatch(/Key Usage: critical\s+Certificate Sign\s/)
    expect(await openssl('x509', '-in', server, '-noout', '-fingerprint', '-sha256', '-subject')).toContain(
      'CN',
    )
    const days = (Date.parse(new X509Certificate(made.cert).validTo) - Date.now()) / 86_400_000
    expect(days).toBeLessThan(398)
    expect(days).toBeGreaterThan(390)
  })

  it('of a stolen authority passes for nothing outside: the constraint holds', async () => {
    const there = join(folder, 'a')
    const [key, request, forged, extensions] = ['key', 'csr', 'crt', 'ext'].map((name) =>
      join(folder, `forged.${name}`),
    ) as [string, string, string, string]
    await writeFile(extensions, 'subjectAltName=DNS:bank.example')
    await openssl(
      'req',
      '-new',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-keyout',
      key,
      '-out',
      request,
      '-subj',
      '/O=Forged',
    )
    await openssl(
      'x509',
      '-req',
      '-in',
      request,
      '-CA',
      join(there, 'authority.crt'),
      '-CAkey',
      join(there, 'authority.key'),
      '-CAcreateserial',
      '-out',
      forged,
      '-days',
      '9',
      '-extfile',
      extensions,
    )
    expect(await openssl('verify', '-CAfile', join(there, 'authority.crt'), forged)).toContain(
      'permitted subtree violation',
    )
  })

  it('stays as long as it holds, is made anew for another name, and its authority stays', async () => {
    const there = join(folder, 'b')
    const first = await ownCertificate(there, ['localhost', '10.0.0.5'])
    expect(await ownCertificate(there, ['10.0.0.5'])).toEqual(first)
    const moved = await ownCertificate(there, ['localhost', '10.0.0.6'])
    expect(moved.cert).not.toBe(first.cert)
    expect([moved.authority, moved.fingerprint]).toEqual([first.authority, first.fingerprint])
    expect(new X509Certificate(moved.cert).checkIP('10.0.0.6')).toBe('10.0.0.6')
    for (const name of ['authority.key', 'server.key'])
      expect((await stat(join(there, name))).mode & 0o077).toBe(0)
  })
})

describe('the server', () => {
  let server: Process
  let url: string
  let drop: () => Promise<void>
  beforeAll(async () => {
    const made = await demoDatabase()
    drop = made.drop
    const database = openDatabase(made.url)
    await inTransaction(database, (connection) =>
      addAccount(connection, { name: 'Owner', role: 'owner', password: 'cider by the barrel' }),
    )
    await database.end()
    server = await startProcess(made.url, {
      HOST: '0.0.0.0',
      TLS_FOLDER: join(folder, 'server'),
      TLS_WELCOME_PORT: '0',
    })
    url = server.url
  })
  afterAll(async () => {
    server.child.kill('SIGKILL')
    await server.ended
    await drop()
  })
  const ask = (to: string, ca?: string): Promise<number | string> =>
    new Promise((resolve) => {
      get(to, ca === undefined ? {} : { ca }, (response) => {
        response.resume()
        resolve(response.statusCode ?? 0)
      }).on('error', (error) => {
        resolve((error as NodeJS.ErrnoException).code ?? error.message)
      })
    })

  it('speaks TLS with who trusts its authority, by any address of the machine, and asks for a sign-in', async () => {
    const authority = await readFile(join(folder, 'server', 'authority.crt'), 'utf8')
    expect(url).toMatch(/^https:/)
    const { port } = new URL(url)
    for (const name of [new URL(url).hostname, '127.0.0.1', 'localhost', hostname().toLowerCase()]) {
      expect([name, await ask(`https://${name}:${port}/api/live`, authority)]).toEqual([name, 200])
      expect([name, await ask(`https://${name}:${port}/api/jobs`, authority)]).toEqual([name, 401])
    }
    expect(await ask(`${url}/api/live`)).toMatch(/SELF_SIGNED|UNABLE_TO_VERIFY/)
  })

  it('tells a phone its two steps, gives the authority, and nothing of the shop', async () => {
    const { said } = server
    const welcome = /open (http:\S+)\//.exec(said())?.[1] ?? ''
    const authority = await readFile(join(folder, 'server', 'authority.crt'), 'utf8')
    const page = await (await fetch(`${welcome}/`)).text()
    const { fingerprint256 } = new X509Certificate(authority)
    expect(said()).toContain(fingerprint256)
    expect(page).toContain(fingerprint256)
    expect(page).toContain(`href="${url}/"`)
    const given = await fetch(`${welcome}/brannik-authority.crt`)
    expect(given.headers.get('content-type')).toBe('application/x-x509-ca-cert')
    expect(await given.text()).toBe(authority)
    for (const path of ['/api/jobs', '/api/me', '/authority.key', '/../authority.key'])
      expect([path, (await fetch(`${welcome}${path}`)).status]).toEqual([path, 404])
  })

  it('gives its cookies for TLS alone', async () => {
    const authority = await readFile(join(folder, 'server', 'authority.crt'), 'utf8')
    const { host } = new URL(url)
    const { stdout } = await run('curl', [
      '-sSi',
      '--cacert',
      join(folder, 'server', 'authority.crt'),
      '-H',
      `Origin: https://${host}`,
      '-H',
      'Content-Type: application/json',
      '-d',
      '{"name":"Owner","password":"cider by the barrel"}',
      `${url}/api/sign-in`,
    ])
    expect(authority).toContain('BEGIN CERTIFICATE')
    expect(stdout).toMatch(/^HTTP\/1.1 200/)
    expect(stdout).toMatch(/set-cookie: __Host-brannik=[^\n]*Secure/i)
  })
})

it('half a certificate is no setting', () => {
  expect(() => readConfig({ DATABASE_URL: 'postgres://x/y', TLS_CERT_FILE: 'a' })).toThrow('go together')
})
