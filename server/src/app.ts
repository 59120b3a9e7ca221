/** The server put together: log, headers, names, who asks, limits, routes, errors, the web application. */
import { randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import type { IncomingMessage } from 'node:http'
import { fileURLToPath } from 'node:url'
import zlib from 'node:zlib'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { findActor, NOBODY } from './access/actor.ts'
import { onlyJson, onlyOwnNames, onlyOwnPages } from './access/guard.ts'
import { giveMachine } from './access/cookie.ts'
import { followLink, HERE } from './access/thisMachine.ts'
import { limitWrites } from './access/rate.ts'
import { type Api, createApi, type ListedRoute } from './api.ts'
import type { Access, BackupSettings } from './config.ts'
import { watchChanges } from './changes.ts'
import type { Database } from './database.ts'
import { bodyBytes, bodyReader } from './documents/body.ts'
import { createMetrics } from './metrics.ts'
import { monitorAt } from './monitor.ts'
import { supplierAt } from './supplier.ts'
import { openApiDocument } from './openapi.ts'
import { notFound, problemHandler } from './problems.ts'
import { accountRoutes, auditRoutes, doorRoutes } from './routes/access.ts'
import { catalogueRoutes } from './routes/catalogue.ts'
import { wholeRoutes } from './routes/whole.ts'
import { changeRoutes, endStreams } from './routes/changes.ts'
import { ledgerRoutes } from './events/ledger.ts'
import { logRoutes } from './events/log.ts'
import { wearRoutes } from './events/wear.ts'
import { eventRoutes } from './events/routes.ts'
import { fitRoutes } from './routes/fit.ts'
import { healthRoutes } from './routes/health.ts'
import { monitorRoutes } from './routes/monitor.ts'
import { supplierRoutes } from './routes/supplier.ts'
import { backupRoutes, historyRoutes } from './routes/keeping.ts'
import { recordRoutes, shopRoutes } from './routes/records.ts'
import { ROOT } from './root.ts'
import type { Services } from './services.ts'
import { COLLECTIONS, COUNTS, SHOP } from './stores/kinds.ts'
import { STOCK } from './stores/stock.ts'
import { onlyWithRoom, type Room, UNKNOWN_ROOM } from './room.ts'
import type { WorkPool } from './work/pool.ts'

const WEB = fileURLToPath(new URL('web/dist/', ROOT))

/** Vuetify writes its theme into a style element; all else comes from this server alone. */
const HEADERS = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      // The solver of the kits is WebAssembly; no text is ever run as code.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
    },
  },
  // Plain HTTP on loopback; a proxy with TLS in front says it.
  strictTransportSecurity: false,
})

export interface AppOptions {
  readonly database: Database
  /** As which role it speaks to the database; see `serverRole.ts`. */
  readonly databaseUrl: string
  /** Of the owner of the tables, who makes backups. */
  readonly ownerUrl: string
  readonly logger: Logger
  readonly access: Access
  readonly backups: BackupSettings
  readonly pool: WorkPool
  /** On the disk of the database; not looked at where it is left out. */
  readonly room?: Room
  /** Where the shop's arc monitor is heard; the stand-in where it is left out. */
  readonly arcMonitor?: string | null
  /** Where the shop's supplier answers; the stand-in where it is left out. */
  readonly supplier?: string | null
}

const ROUTES = [
  doorRoutes,
  accountRoutes,
  auditRoutes,
  historyRoutes,
  backupRoutes,
  changeRoutes,
  eventRoutes,
  ledgerRoutes,
  logRoutes,
  wearRoutes,
  monitorRoutes,
  supplierRoutes,
  fitRoutes,
  shopRoutes(SHOP),
  catalogueRoutes,
  wholeRoutes,
  ...COLLECTIONS.map((kind) => recordRoutes(kind)),
  recordRoutes(COUNTS, STOCK),
]

function apiRoutes(services: Services): Api {
  const api = createApi('/api')
  const { router } = api
  const document = JSON.stringify(openApiDocument())
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  router.use(onlyOwnPages)
  router.use(onlyJson)
  // Before anybody is looked up in the database: these answer without one.
  router.use((request, _response, next) => {
    request.actor = { ...NOBODY, address: request.ip ?? null, requestId: String(request.id) }
    next()
  })
  healthRoutes(api, services)
  api.on('get', '/openapi.json', 'anyone', (_request, response) => {
    response.type('application/json').send(document)
  })
  router.use(onlyWithRoom(services.room))
  router.use(findActor(services.database, services.access))
  router.use(limitWrites(services.database, services.access.writesPerMinute))
  router.use(bodyBytes)
  for (const addRoutes of ROUTES) addRoutes(api, services)
  router.use(notFound)
  return api
}

const REQUEST_ID = /^[\w.-]{8,100}$/
/** A proxy's id is kept, so that its log and ours speak of one request. */
const requestId = (request: IncomingMessage): string => {
  const given = request.headers['x-request-id']
  return typeof given === 'string' && REQUEST_ID.test(given) ? given : randomUUID()
}

const whoOf = (request: IncomingMessage): string | undefined =>
  (request as { actor?: express.Request['actor'] }).actor?.who

/** One line a request; of its headers only what tells programs apart, never a cookie, a token or a body. */
const accessLog = (logger: Logger) =>
  pinoHttp({
    logger,
    genReqId: requestId,
    customLogLevel: (_request, response, error) =>
      error || response.statusCode >= 500 ? 'error' : response.statusCode === 401 ? 'warn' : 'info',
    serializers: {
      req: (request: { id: unknown; method: string; url: string; raw: express.Request }) => ({
        id: request.id,
        method: request.method,
        // A link that lets somebody in is nobody else's to read.
        url: request.url.startsWith(HERE) ? HERE : request.url,
        address: request.raw.ip,
        agent: request.raw.headers['user-agent'],
      }),
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
    },
    // Who it was is known when the answer is on its way, not when the request begins.
    customSuccessObject: (request, _response, line) => ({ ...line, who: whoOf(request) }),
    customErrorObject: (request, _response, _error, line) => ({ ...line, who: whoOf(request) }),
  })

export interface App {
  readonly express: Express
  readonly routes: readonly ListedRoute[]
  /** Ends what stays open by itself. */
  close(): Promise<void>
}

export function createApp({
  database,
  databaseUrl,
  ownerUrl,
  logger,
  access,
  backups,
  pool,
  room = UNKNOWN_ROOM,
  arcMonitor = null,
  supplier = null,
}: AppOptions): App {
  const app = express()
  const services: Services = {
    database,
    ownerUrl,
    access,
    backups,
    readBody: bodyReader(pool),
    changes: watchChanges(databaseUrl, (error) => {
      logger.warn({ err: error }, 'changes are not heard: the database does not answer; asked again')
    }),
    streams: new Map(),
    room,
    monitor: monitorAt(arcMonitor),
    supplier: supplierAt(supplier),
  }
  const metrics = createMetrics(services, pool)
  app.disable('x-powered-by')
  app.set('etag', false)
  // One proxy, the one in front: what those before it say is not believed.
  app.set('trust proxy', access.trustsProxy ? 1 : false)
  app.use(accessLog(logger))
  app.use(metrics.measure)
  app.use((request, response, next) => {
    response.set('X-Request-Id', String(request.id))
    next()
  })
  app.use(HEADERS)
  app.use(onlyOwnNames(access))
  // Small answers are many, and packing one costs more than it saves; a script is packed however small.
  app.use(
    compression({
      // An answer of megabytes waits for its packing: the quickest is nearly as small, for JSON repeats itself.
      level: zlib.constants.Z_BEST_SPEED,
      threshold: 8192,
      filter: (request, response) =>
        !request.originalUrl.startsWith('/assets/') && compression.filter(request, response),
    }),
  )
  const api = apiRoutes(services)
  app.use('/api', api.router)
  const watched = createApi('')
  watched.router.use('/metrics', findActor(database, access))
  watched.on('get', '/metrics', 'owner', async (_request, response) => {
    response.set('Content-Type', metrics.contentType).send(await metrics.text())
  })
  app.use(watched.router)
  app.get(`${HERE}:link`, async (request, response) => {
    const secret = access.needsSignIn ? null : await followLink(database, request.params.link)
    if (secret !== null) giveMachine(request, response, secret)
    response.set('Cache-Control', 'no-store').redirect('/')
  })
  if (existsSync(WEB)) {
    app.use('/assets', compression({ threshold: 256 }))
    app.use(
      '/assets',
      express.static(`${WEB}assets`, { immutable: true, maxAge: '365d', fallthrough: false }),
    )
    app.use(express.static(WEB))
    // Every other address is a view of the application, which has its own router.
    app.get('/{*view}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: WEB })
    })
  }
  app.use(notFound)
  app.use(problemHandler)
  return {
    express: app,
    routes: [...api.listed, ...watched.listed],
    async close() {
      endStreams(services.streams)
      await services.monitor.close()
      await services.supplier.close()
      await services.changes.close()
    },
  }
}
