/**
 * A certificate for a shop's own network: an authority made once in the data folder, which tablets and phones are told to
 * trust, and a certificate of it for the names and addresses of this machine. The authority is bound to private names and
 * addresses, and to those of this machine (X.509 name constraints, RFC 5280 4.2.1.10): whoever stole its key could pass
 * for nothing else.
 */
import 'reflect-metadata'
import { createPrivateKey, webcrypto, X509Certificate } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { BlockList, isIP } from 'node:net'
import { hostname } from 'node:os'
import { join } from 'node:path'
import { AsnConvert } from '@peculiar/asn1-schema'
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509'
import * as x509 from '@peculiar/x509'

x509.cryptoProvider.set(webcrypto as never)

/** RFC 1918, 4193, 3927 and 4291: what no router of the internet passes on; and loopback. */
const NETWORKS = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '127.0.0.0/8',
  'fc00::/7',
  'fe80::/10',
  '::1/128',
] as const
/** RFC 6761, 6762, 8375: names that nobody can buy; `lan` and `internal` are used so by routers. */
const SUFFIXES = ['localhost', 'local', 'home.arpa', 'internal', 'lan'] as const

const NAME_CONSTRAINTS = '2.5.29.30'
const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
const DAY_MS = 86_400_000
/** Browsers take none that holds longer than 398 days (CA/Browser Forum, 2020; from memory). */
const CERTIFICATE_DAYS = 397
const RENEW_DAYS = 30
const AUTHORITY_DAYS = 3650

const familyOf = (address: string): 'ipv4' | 'ipv6' => (address.includes(':') ? 'ipv6' : 'ipv4')
function blockOf(networks: readonly string[]): BlockList {
  const block = new BlockList()
  for (const network of networks) {
    const [address = '', prefix = ''] = network.split('/')
    block.addSubnet(address, Number(prefix), familyOf(address))
  }
  return block
}

export interface Credentials {
  /** PEM: the certificate, and its authority after it. */
  readonly cert: string
  readonly key: string
}
interface Authority {
  readonly certificate: X509Certificate
  readonly pem: string
  readonly key: string
}

const pemOfKey = async (key: webcrypto.CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOfPem = (pem: string): Promise<webcrypto.CryptoKey> =>
  webcrypto.subtle.importKey(
    'pkcs8',
    createPrivateKey(pem).export({ type: 'pkcs8', format: 'der' }),
    ALGORITHM,
    false,
    ['sign'],
  ) as Promise<webcrypto.CryptoKey>
const newKeys = (): Promise<webcrypto.CryptoKeyPair> =>
  webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']) as Promise<webcrypto.CryptoKeyPair>

/** Whole, or not there. */
async function keep(file: string, text: string): Promise<void> {
  await writeFile(`${file}.new`, text, { mode: 0o600 })
  await rename(`${file}.new`, file)
}

const subtree = (base: ConstructorParameters<typeof GeneralName>[0]): GeneralSubtree =>
  new GeneralSubtree({ base: new GeneralName(base) })
/** @param addresses of the machine that are not private are permitted one by one */
const constraintsFor = (host: string, addresses: readonly string[]): x509.Extension => {
  const known = blockOf(NETWORKS)
  const own = addresses
    .filter((address) => !known.check(address, familyOf(address)))
    .map((address) => `${address}/${familyOf(address) === 'ipv6' ? 128 : 32}`)
  const permittedSubtrees = new GeneralSubtrees([
    ...[...SUFFIXES, host].map((dNSName) => subtree({ dNSName })),
    ...[...NETWORKS, ...own].map((iPAddress) => subtree({ iPAddress })),
  ])
  return new x509.Extension(
    NAME_CONSTRAINTS,
    true,
    AsnConvert.serialize(new NameConstraints({ permittedSubtrees })),
  )
}

/** What an authority may sign for, as it says itself. */
function permittedBy(pem: string): (name: string) => boolean {
  const extension = new x509.X509Certificate(pem).getExtension(NAME_CONSTRAINTS)
  const trees = extension ? (AsnConvert.parse(extension.value, NameConstraints).permittedSubtrees ?? []) : []
  const suffixes = trees.flatMap(({ base }) => base.dNSName ?? [])
  const networks = blockOf(trees.flatMap(({ base }) => base.iPAddress ?? []))
  return (name) =>
    isIP(name) === 0
      ? suffixes.some((suffix) => name === suffix || name.endsWith(`.${suffix}`))
      : networks.check(name, familyOf(name))
}

async function makeAuthority(
  host: string,
  addresses: readonly string[],
): Promise<Omit<Authority, 'certificate'>> {
  const keys = await newKeys()
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    name: [{ CN: [`Brannik on ${host}`] }],
    notBefore: new Date(Date.now() - DAY_MS),
    notAfter: new Date(Date.now() + AUTHORITY_DAYS * DAY_MS),
    keys,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      constraintsFor(host, addresses),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  })
  return { pem: certificate.toString('pem'), key: await pemOfKey(keys.privateKey) }
}

/** Made once: those who trust it go on trusting it. */
async function authorityIn(folder: string, names: readonly string[]): Promise<Authority> {
  const [file, keyFile] = [join(folder, 'authority.crt'), join(folder, 'authority.key')]
  if (!existsSync(file) || !existsSync(keyFile)) {
    const { pem, key } = await makeAuthority(
      hostname().toLowerCase(),
      names.filter((name) => isIP(name) !== 0),
    )
    await keep(keyFile, key)
    await keep(file, pem)
  }
  const pem = await readFile(file, 'utf8')
  return { pem, key: await readFile(keyFile, 'utf8'), certificate: new X509Certificate(pem) }
}

async function makeCertificate(names: readonly string[], authority: Authority): Promise<Credentials> {
  const keys = await newKeys()
  const certificate = await x509.X509CertificateGenerator.create({
    subject: [{ CN: [names[0] ?? 'localhost'] }],
    issuer: new x509.X509Certificate(authority.pem).subject,
    notBefore: new Date(Date.now() - DAY_MS),
    notAfter: new Date(Date.now() + (CERTIFICATE_DAYS - 1) * DAY_MS),
    publicKey: keys.publicKey,
    signingKey: await keyOfPem(authority.key),
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) === 0 ? ('dns' as const) : ('ip' as const), value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(new x509.X509Certificate(authority.pem)),
    ],
  })
  return {
    cert: `${certificate.toString('pem')}\n${authority.pem}`,
    key: await pemOfKey(keys.privateKey),
  }
}

/** Whether it holds for a while, for every one of these names, and is of this authority. */
function isGood(pem: string, names: readonly string[], authority: Authority): boolean {
  const certificate = new X509Certificate(pem)
  return (
    Date.parse(certificate.validTo) - Date.now() > RENEW_DAYS * DAY_MS &&
    certificate.verify(authority.certificate.publicKey) &&
    names.every((name) =>
      isIP(name) === 0 ? certificate.checkHost(name, { subject: 'never' }) : certificate.checkIP(name),
    )
  )
}

export interface OwnCertificate extends Credentials {
  /** What tablets and phones install. */
  readonly authority: string
  /** SHA-256 of it, to be compared on the screen of the machine and of the phone. */
  readonly fingerprint: string
}

/**
 * The certificate in the folder, made where there is none, and anew where it ends soon or a name has come.
 * @param names under which the server answers; those that its authority may not sign for are left out
 */
export async function ownCertificate(folder: string, names: readonly string[]): Promise<OwnCertificate> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const authority = await authorityIn(folder, names)
  const own = names.filter(permittedBy(authority.pem))
  const [file, keyFile] = [join(folder, 'server.crt'), join(folder, 'server.key')]
  if (!existsSync(file) || !existsSync(keyFile) || !isGood(await readFile(file, 'utf8'), own, authority)) {
    const made = await makeCertificate(own, authority)
    await keep(keyFile, made.key)
    await keep(file, made.cert)
  }
  return {
    cert: await readFile(file, 'utf8'),
    key: await readFile(keyFile, 'utf8'),
    authority: authority.pem,
    fingerprint: authority.certificate.fingerprint256,
  }
}
