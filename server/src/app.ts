/** The server put together: headers, body limit, routes, errors, the web application. */
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { Database } from './database.ts'
import { onlyJson, onlyLocalNames } from './guard.ts'
import { openApiDocument } from './openapi.ts'
import { notFound, problemHandler } from './problems.ts'
import { catalogueRoutes } from './routes/catalogue.ts'
import { fitRoutes } from './routes/fit.ts'
import { healthRoutes } from './routes/health.ts'
import { recordRoutes } from './routes/records.ts'
import { shopRoutes } from './routes/shop.ts'
import { COLLECTIONS } from './stores/kinds.ts'

const WEB = fileURLToPath(new URL('../../web/dist/', import.meta.url))

/** Vuetify writes its theme into a style element; all else comes from this server alone. */
const HEADERS = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
    },
  },
  // Plain HTTP on loopback.
  strictTransportSecurity: false,
})

interface Options {
  readonly database: Database
  readonly logger: Logger
  readonly host: string
}

function apiRoutes(database: Database): express.Router {
  const api = express.Router()
  const document = openApiDocument()
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  api.use(onlyJson)
  api.use(express.json({ limit: '8mb' }))
  api.use('/health', healthRoutes(database))
  api.get('/openapi.json', (_request, response) => {
    response.json(document)
  })
  api.use('/fit', fitRoutes())
  api.use('/shop', shopRoutes(database))
  api.use('/catalogue', catalogueRoutes(database))
  for (const kind of COLLECTIONS) api.use(`/${kind.path}`, recordRoutes(database, kind))
  api.use(notFound)
  return api
}

export function createApp({ database, logger, host }: Options): Express {
  const app = express()
  app.disable('x-powered-by')
  app.set('etag', false)
  app.use(pinoHttp({ logger, quietReqLogger: true }))
  app.use(HEADERS)
  app.use(onlyLocalNames(host))
  app.use('/api', apiRoutes(database))
  if (existsSync(WEB)) {
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
  return app
}
