/** What the environment decides. Loopback by default: nothing listens to the network unless it is asked to. */
import { hostname, networkInterfaces } from 'node:os'
import { z } from 'zod'
import type { DemoId } from './demoShop.ts'
import { LIMITS } from './limits.ts'
import type { RetentionSettings } from './retention.ts'

const flag = z.enum(['0', '1']).default('0')

/** By the setting DEMO. */
const DEMO_OF = { '0': null, '1': 'inch', metric: 'metric' } as const

const schema = z.object({
  DATABASE_URL: z.string().regex(/^postgres(ql)?:\/\//, 'must begin with postgres://'),
  HOST: z.string().min(1).default('127.0.0.1'),
  PORT: z.coerce
    .number('must be a port number')
    .int()
    .min(0)
    .max(65_535, 'must be at most 65535')
    .default(4870),
  LOG_LEVEL: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
  LOG_FILE: z.string().optional(),
  DATA_FOLDER: z.string().optional(),
  ALLOWED_HOSTS: z.string().default(''),
  TLS_FOLDER: z.string().optional(),
  TLS_CERT_FILE: z.string().optional(),
  TLS_KEY_FILE: z.string().optional(),
  TLS_WELCOME_PORT: z.coerce.number('must be a port number').int().min(0).max(65_535).optional(),
  THIS_MACHINE: z.enum(['link', 'open'], 'must be link or open').default('link'),
  SIGN_IN: z.enum(['auto', 'always'], 'must be auto or always').default('auto'),
  TRUST_PROXY: flag,
  BACKUP_FOLDER: z.string().optional(),
  BACKUP_SECOND_FOLDER: z.string().optional(),
  BACKUP_HOURS: z.coerce.number('must be a number of hours').int().min(0).max(8760).default(24),
  BACKUP_DAYS: z.coerce.number('must be a number of days').int().min(1).max(3650).default(30),
  HISTORY_MINUTES: z.coerce.number('must be a number of minutes').int().min(0).max(1440).default(10),
  HISTORY_DAYS: z.coerce.number('must be a number of days').int().min(0).max(36_500).default(0),
  AUDIT_DAYS: z.coerce
    .number('must be a number of days')
    .int()
    .max(36_500)
    .refine((days) => days === 0 || days >= 365, 'must be 0, which keeps all, or at least 365')
    .default(0),
  MIGRATE_WITHOUT_BACKUP: flag,
  WRITES_PER_MINUTE: z.coerce
    .number('must be a number')
    .int()
    .min(1)
    .max(10_000_000)
    .default(LIMITS.writesPerMinute),
  STOP_WITH_PARENT: flag,
  ARC_MONITOR: z
    .union([z.literal(''), z.string().regex(/^wss?:\/\/\S+$/, 'must begin with ws:// or wss://')])
    .default(''),
  SUPPLIER: z
    .union([z.literal(''), z.string().regex(/^https?:\/\/\S+$/, 'must begin with http:// or https://')])
    .default(''),
  DEMO: z.enum(['0', '1', 'metric'], 'must be 0, 1 or metric').default('0'),
})

export interface Config {
  readonly databaseUrl: string
  readonly host: string
  readonly port: number
  readonly logLevel: string
  readonly logFile: string | null
  /** A folder on the disk of the database; null where that is another machine’s. */
  readonly dataFolder: string | null
  /** null: it speaks plain HTTP. */
  readonly tls: TlsSettings | null
  readonly access: Access
  readonly backups: BackupSettings
  readonly retention: RetentionSettings
  readonly stopWithParent: boolean
  /** Where the shop's arc monitor is heard; null: a simulated one. */
  readonly arcMonitor: string | null
  /** Where the shop's supplier answers; null: a simulated one. */
  readonly supplier: string | null
  /** The demo shop that is loaded into an empty database; null where it asks whoever opens it. */
  readonly demo: DemoId | null
}

export type TlsSettings =
  /** A certificate of the shop's own, and where its authority is given out; null: nowhere. */
  | { readonly folder: string; readonly welcomePort: number | null }
  | { readonly certFile: string; readonly keyFile: string }

/** Who may come in, and by which name. */
export interface Access {
  /** Names, without a port, by which this server may be called. */
  readonly allowedHosts: ReadonlySet<string>
  /** False on loopback: whoever sits at this machine is the owner, see `thisMachine`. */
  readonly needsSignIn: boolean
  /** Without sign-in: whether whoever comes shows a link that the start printed, or is the owner by being here. */
  readonly thisMachine: 'link' | 'open'
  /** Whether X-Forwarded-… of one proxy in front is believed. */
  readonly trustsProxy: boolean
  readonly writesPerMinute: number
}

export interface BackupSettings {
  /** null: there are none. */
  readonly folder: string | null
  /** Another disk, or a share: a copy of each; null: there is none. */
  readonly secondFolder: string | null
  /** How old the latest may become before the clock makes another; 0: the clock makes none. */
  readonly everyHours: number
  /** How long those stay that the clock has not made. */
  readonly keepDays: number
  readonly migrateWithout: boolean
}

const LOOPBACK_NAMES: readonly string[] = ['127.0.0.1', 'localhost', '::1']
const isLoopback = (host: string): boolean => LOOPBACK_NAMES.includes(host)

/** Every address of this machine in its networks, the ones that people type first. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .sort((a, b) => Number(a.internal) - Number(b.internal) || a.family.localeCompare(b.family))
    .map(({ address }) => address.toLowerCase())

/** Every address and name of this machine: an address cannot be made to lead elsewhere, as a name of the web can. */
function ownNames(): string[] {
  const name = hostname().toLowerCase()
  // Multicast DNS (RFC 6762) gives every machine of a network a name of its own.
  return [...ownAddresses(), name, ...(name.includes('.') ? [] : [`${name}.local`])]
}

export function accessOf(
  host: string,
  {
    allowedHosts = '',
    signIn = 'auto',
    thisMachine = 'link',
    trustsProxy = false,
    writesPerMinute = LIMITS.writesPerMinute,
  }: {
    allowedHosts?: string
    signIn?: 'auto' | 'always'
    thisMachine?: 'link' | 'open'
    trustsProxy?: boolean
    writesPerMinute?: number
  } = {},
): Access {
  const asked = allowedHosts
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean)
  const reachable = isLoopback(host) ? [] : [host.toLowerCase(), ...ownNames()]
  return {
    allowedHosts: new Set([...LOOPBACK_NAMES, ...reachable, ...asked]),
    needsSignIn: signIn === 'always' || trustsProxy || !isLoopback(host) || !asked.every(isLoopback),
    thisMachine,
    trustsProxy,
    writesPerMinute,
  }
}

function tlsOf(it: z.infer<typeof schema>): TlsSettings | null {
  if (it.TLS_CERT_FILE && it.TLS_KEY_FILE) return { certFile: it.TLS_CERT_FILE, keyFile: it.TLS_KEY_FILE }
  if (it.TLS_CERT_FILE || it.TLS_KEY_FILE)
    throw new Error(
      'The environment is not right: TLS_CERT_FILE and TLS_KEY_FILE go together. Set both, or neither',
    )
  return it.TLS_FOLDER ? { folder: it.TLS_FOLDER, welcomePort: it.TLS_WELCOME_PORT ?? null } : null
}

/** @throws Error that names each variable and its remedy */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const read = schema.safeParse(environment)
  if (!read.success) {
    const lines = read.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`)
    throw new Error(`The environment is not right: ${lines.join('; ')}. Run npm start, which sets it.`)
  }
  const it = read.data
  return {
    databaseUrl: it.DATABASE_URL,
    host: it.HOST,
    port: it.PORT,
    logLevel: it.LOG_LEVEL,
    logFile: it.LOG_FILE ?? null,
    dataFolder: it.DATA_FOLDER || null,
    tls: tlsOf(it),
    access: accessOf(it.HOST, {
      allowedHosts: it.ALLOWED_HOSTS,
      signIn: it.SIGN_IN,
      thisMachine: it.THIS_MACHINE,
      trustsProxy: it.TRUST_PROXY === '1',
      writesPerMinute: it.WRITES_PER_MINUTE,
    }),
    backups: {
      folder: it.BACKUP_FOLDER ?? null,
      secondFolder: it.BACKUP_SECOND_FOLDER || null,
      everyHours: it.BACKUP_HOURS,
      keepDays: it.BACKUP_DAYS,
      migrateWithout: it.MIGRATE_WITHOUT_BACKUP === '1',
    },
    retention: {
      saveMinutes: it.HISTORY_MINUTES,
      historyDays: it.HISTORY_DAYS,
      auditDays: it.AUDIT_DAYS,
    },
    stopWithParent: it.STOP_WITH_PARENT === '1',
    arcMonitor: it.ARC_MONITOR || null,
    supplier: it.SUPPLIER || null,
    demo: DEMO_OF[it.DEMO],
  }
}
