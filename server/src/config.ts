/** What the environment decides. Loopback by default: nothing listens to the network unless it is asked to. */
import { z } from 'zod'

const schema = z.object({
  DATABASE_URL: z.string().regex(/^postgres(ql)?:\/\//, 'must begin with postgres://'),
  HOST: z.string().min(1).default('127.0.0.1'),
  PORT: z.coerce
    .number('must be a port number')
    .int()
    .min(0)
    .max(65_535, 'must be at most 65535')
    .default(4870),
  LOG_LEVEL: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('warn'),
})

export interface Config {
  readonly databaseUrl: string
  readonly host: string
  readonly port: number
  readonly logLevel: string
}

/** @throws Error that names each variable and its remedy */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const read = schema.safeParse(environment)
  if (!read.success) {
    const lines = read.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`)
    throw new Error(`The environment is not right: ${lines.join('; ')}. Run npm start, which sets it.`)
  }
  const { DATABASE_URL, HOST, PORT, LOG_LEVEL } = read.data
  return { databaseUrl: DATABASE_URL, host: HOST, port: PORT, logLevel: LOG_LEVEL }
}
