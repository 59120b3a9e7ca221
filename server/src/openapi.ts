/** The OpenAPI document, made from the schemas that check the input: one line a route. */
import {
  catalogueSchema,
  fitDocumentSchema,
  logRowSchema,
  WEAR_PARTS,
  WEAR_STATES,
  WEAR_UNITS,
  storedEventSchema,
  type RecordKind,
  schemaOf,
  shopDocumentSchema,
  newEventSchema,
} from '@brannik/core'
import { z } from 'zod'
import {
  createDocument,
  type ZodOpenApiOperationObject,
  type ZodOpenApiPathsObject,
  type ZodOpenApiResponsesObject,
} from 'zod-openapi'
import { changedAccountSchema, newAccountSchema } from './access/accounts.ts'
import { newTokenSchema } from './access/tokens.ts'
import { DEMOS } from './demoShop.ts'
import { catalogueImportSchema, wholeImportSchema } from './documents/documents.ts'
import { ledgerQuerySchema } from './events/ledger.ts'
import { logQuerySchema } from './events/log.ts'
import { eventQuerySchema } from './events/routes.ts'
import { orderSentSchema, pricesAskedSchema } from './routes/supplier.ts'
import { pricedSchema, takenSchema } from './supplier.ts'
import { fitAnswerSchema } from './fitAnswer.ts'
import { LIMITS } from './limits.ts'
import { passwordChangeSchema, signInSchema } from './routes/access.ts'
import { VERSION } from './routes/health.ts'
import { listQueryOf } from './routes/lists.ts'
import { monitorQuerySchema } from './routes/monitor.ts'
import { EPOCH_EXAMPLE, EPOCH_HEADER, etagOf } from './stores/epoch.ts'
import { ALL_KINDS, type Kind, pascalCase, SHOP } from './stores/kinds.ts'

const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  currentVersion: z.int().optional(),
  epoch: z.string().optional().meta({ description: 'of the shop that the server holds' }),
  requestId: z.string().optional().meta({ description: 'as the log of the server has it' }),
  outcome: z.enum(['unknown', 'another-shop', 'another-account']).optional().meta({
    description:
      'a write of which it is not known whether it was stored, or a request that is meant for another shop, or of a page that is open for somebody else',
  }),
  errors: z.array(z.object({ pointer: z.string(), field: z.string(), message: z.string() })).optional(),
})

type Answers = ZodOpenApiResponsesObject
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: problemSchema } },
})
const said = (description: string) => ({ description })
const json = (description: string, schema: z.ZodType, mediaType = 'application/json') => ({
  description,
  content: { [mediaType]: { schema } },
})
const file = (description: string, mediaType: string) => json(description, z.string(), mediaType)
const items = (description: string) =>
  json(description, z.object({ items: z.array(z.record(z.string(), z.unknown())) }))

/** Every route may refuse: by the address or the page that asks, by who asks, or because there was too much of it. */
const REFUSED: Answers = {
  401: problem('Nobody is signed in'),
  403: problem('The role does not allow it, or another page or name asks'),
  421: problem('The server does not answer under this name'),
  429: problem('Too often: `Retry-After` says when'),
}
const NOTHING: Answers = { 204: said('Done') }
const INVALID: Answers = {
  422: problem('A field is not right: `errors` names each with a JSON Pointer and the remedy'),
}
const NOT_HERE: Answers = { 404: problem('It is not here') }
const VERSIONED: Answers = {
  ...NOT_HERE,
  412: problem('The stored record is newer than yours, or the server holds another shop'),
  428: problem('If-Match is missing'),
}

const ANOTHER_SHOP: Answers = { 412: problem('The server holds another shop than yours') }

/** Headers of a write. */
const KEY = {
  [EPOCH_HEADER]: z
    .string()
    .optional()
    .meta({
      description:
        'the shop that it is meant for, as ETags begin: refused where the server holds another one',
      examples: [EPOCH_EXAMPLE],
    }),
  'Idempotency-Key': z
    .string()
    .min(1)
    .max(200)
    .optional()
    .meta({
      description: `a text of your own, such as a UUID: the same request with the same key is done once, and answered alike for ${LIMITS.answerHours} h`,
    }),
}
const IF_MATCH = {
  'If-Match': z
    .string()
    .meta({ description: 'the ETag of the version that you have', examples: [etagOf(EPOCH_EXAMPLE, 3)] }),
}
const ETAG = z.object({
  ETag: z.string().meta({ description: 'shop and version, quoted', examples: [etagOf(EPOCH_EXAMPLE, 3)] }),
})
const ID = { id: z.string().regex(/^[a-z0-9][a-z0-9.-]{0,80}$/) }
const UUID = { id: z.uuid() }
const textIn = (...names: readonly string[]) => Object.fromEntries(names.map((name) => [name, z.string()]))

interface Takes {
  readonly path?: z.ZodRawShape
  readonly query?: z.ZodRawShape
  readonly header?: z.ZodRawShape
  readonly body?: z.ZodType
}
/**
 * @param operationId what a generated client calls it
 * @param summary what it does
 */
const route = (
  operationId: string,
  summary: string,
  answers: Answers,
  { path, query, header, body }: Takes = {},
): ZodOpenApiOperationObject => ({
  operationId,
  summary,
  requestParams: {
    ...(path ? { path: z.object(path) } : {}),
    ...(query ? { query: z.object(query) } : {}),
    ...(header ? { header: z.object(header) } : {}),
  },
  ...(body ? { requestBody: { required: true, content: { 'application/json': { schema: body } } } } : {}),
  responses: { ...answers, ...REFUSED },
})

const storedSchema = (kind: RecordKind) => z.object({ version: z.int().min(1), record: schemaOf(kind) })
const oneOf = (description: string, kind: RecordKind) => ({
  ...json(description, storedSchema(kind)),
  headers: ETAG,
})

function collectionPaths(kindOfList: Kind): ZodOpenApiPathsObject {
  const { path, schemaName, kind, noun, schema: body } = kindOfList
  const one = oneOf(`The ${noun}`, kind)
  const list = z.object({
    epoch: z
      .string()
      .meta({ description: 'of the shop: what an If-Match with one of these versions begins with' }),
    items: z.array(storedSchema(kind)),
    next: z.string().nullable().meta({ description: 'for `after`; null on the last page' }),
  })
  return {
    [`/api/${path}`]: {
      get: route(
        `list${pascalCase(path)}`,
        `Every ${noun}, by name, a page at a time`,
        {
          200: { ...json('By name', list), headers: ETAG },
          304: said('As your If-None-Match has it'),
          ...INVALID,
        },
        { query: listQueryOf(kindOfList) },
      ),
      post: route(
        `add${schemaName}`,
        `Adds a ${noun}; its id is yours to choose`,
        { 201: one, 409: problem('The id is taken'), ...ANOTHER_SHOP, ...INVALID },
        { header: KEY, body },
      ),
    },
    [`/api/${path}/{id}`]: {
      get: route(`get${schemaName}`, `One ${noun}`, { 200: one, ...NOT_HERE }, { path: ID }),
      put: route(
        `replace${schemaName}`,
        `Replaces a ${noun}`,
        { 200: one, ...VERSIONED, ...INVALID },
        { path: ID, header: { ...IF_MATCH, ...KEY }, body },
      ),
      delete: route(
        `delete${schemaName}`,
        `Deletes a ${noun} that nothing uses`,
        { ...NOTHING, 409: problem('Another record uses it'), ...VERSIONED },
        { path: ID, header: { ...IF_MATCH, ...KEY } },
      ),
    },
  }
}

const DOORS: ZodOpenApiPathsObject = {
  '/api/openapi.json': { get: route('describe', 'This document', { 200: said('OpenAPI 3.1') }) },
  '/api/live': { get: route('isAlive', 'Whether the server lives', { 200: said('It does') }) },
  ...Object.fromEntries(
    [
      ['ready', 'isReady'],
      ['health', 'isHealthy'],
    ].map(([path = '', operationId = '']) => [
      `/api/${path}`,
      {
        get: route(operationId, 'Whether server and database are ready to work', {
          200: said('Both answer'),
          503: said('The database does not, yet'),
        }),
      },
    ]),
  ),
  '/api/version': { get: route('version', 'Which version this is', { 200: said('Name and version') }) },
  '/api/me': {
    get: route('me', 'Who asks, in which role, and whether sign-in is asked here', { 200: said('You') }),
  },
  '/api/sign-in': {
    post: route(
      'signIn',
      'Opens a session and gives its cookie',
      { 200: said('You are in'), ...INVALID },
      { body: signInSchema },
    ),
  },
  '/api/sign-out': { post: route('signOut', 'Ends this session', NOTHING) },
  '/api/sign-out-everywhere': {
    post: route('signOutEverywhere', 'Ends all sessions of this account', NOTHING),
  },
  '/api/password': {
    put: route(
      'changePassword',
      'Changes the own password',
      { ...NOTHING, ...INVALID },
      { body: passwordChangeSchema },
    ),
  },
  '/api/accounts': {
    get: route('listAccounts', 'All accounts', { 200: items('By name') }),
    post: route(
      'addAccount',
      'Makes an account',
      { 201: said('Made'), 409: problem('The name is taken'), ...INVALID },
      { body: newAccountSchema },
    ),
  },
  '/api/accounts/{id}': {
    put: route(
      'changeAccount',
      'Changes role or password, or shuts out; ends its sessions',
      { 200: said('Changed'), 409: problem('It is the last owner'), ...NOT_HERE, ...INVALID },
      { path: UUID, body: changedAccountSchema },
    ),
    delete: route(
      'deleteAccount',
      'Deletes an account',
      { ...NOTHING, 409: problem('It is the last owner'), ...NOT_HERE },
      { path: UUID },
    ),
  },
  '/api/tokens': {
    get: route('listTokens', 'Tokens of other programs, without their secrets', { 200: items('By name') }),
    post: route(
      'addToken',
      'Makes a token; its secret is told this once',
      { 201: said('Made'), ...INVALID },
      { body: newTokenSchema },
    ),
  },
  '/api/tokens/{id}': {
    delete: route('revokeToken', 'Takes a token back', { ...NOTHING, ...NOT_HERE }, { path: UUID }),
  },
}

const HAPPENINGS: ZodOpenApiPathsObject = {
  '/api/changes': {
    get: route(
      'hearChanges',
      'What is changed, by anybody, as server-sent events while it is connected; first what was missed since a position',
      {
        200: file(
          'Events `change` with path, id and new version (0: deleted; no id: very many at once), `happened` with the first new event, `another` with the epoch of another shop that is stored from then on, `position` up to where everything has been told, and `lost` where nobody knows what was missed',
          'text/event-stream',
        ),
        503: problem('Too many are connected'),
      },
      {
        query: {
          since: z.string().optional().meta({
            description: 'A position; the header `Last-Event-ID` of a connection that was cut goes before it',
          }),
        },
      },
    ),
  },
  '/api/changes/position': {
    get: route(
      'changesPosition',
      'Up to where everything has been told: asked for before the lists, it is where the changes begin',
      {
        200: json(
          'The position, and which shop is stored',
          z.object({ epoch: z.string(), position: z.string() }),
        ),
      },
    ),
  },
  '/api/events': {
    get: route(
      'listEvents',
      'What happened, oldest first; ask again with `next` as `since` to go on',
      {
        200: json(
          'Events, and where to go on from',
          z.object({ items: z.array(storedEventSchema), next: z.string() }),
        ),
        ...INVALID,
      },
      { query: eventQuerySchema.shape },
    ),
    post: route(
      'addEvent',
      'Records something that happened; what cannot have happened is refused',
      {
        200: json('As it was stored under this key before', storedEventSchema),
        201: json('As it is stored', storedEventSchema),
        409: problem('It cannot have happened: there is not enough, or nobody has counted'),
        ...ANOTHER_SHOP,
        ...INVALID,
      },
      { header: KEY, body: newEventSchema },
    ),
  },
  '/api/ledger': {
    get: route(
      'listMovements',
      'Movements of the stores, newest first, by item, job and reason, with whether one was corrected',
      {
        200: json(
          'Rows, and where the next page begins; null after the last',
          z.object({
            epoch: z.string(),
            items: z.array(z.object({ isCorrected: z.boolean(), event: storedEventSchema })),
            next: z.string().nullable(),
          }),
        ),
        ...INVALID,
      },
      { query: ledgerQuerySchema.shape },
    ),
  },
  '/api/ledger/balances': {
    get: route('listBalances', 'What the ledger says is there, and what each job has used', {
      200: json(
        'By item: g of wire, L of gas, pieces of the others; null where nobody knows',
        z.object({
          epoch: z.string(),
          balances: z.array(
            z.object({
              item: z.string(),
              amount: z.number().nullable(),
              movements: z.int(),
              countedAt: z.iso.datetime().nullable(),
            }),
          ),
          used: z.array(z.object({ jobId: z.string(), item: z.string(), amount: z.number() })),
        }),
      ),
    }),
  },
  '/api/ledger/check': {
    get: route('checkLedger', 'Whether every event follows from the one before it, by its hash', {
      200: json(
        'How many there are, and the first that does not follow',
        z.object({ events: z.int(), isWhole: z.boolean(), brokenAt: z.int().nullable() }),
      ),
    }),
  },
  '/api/monitor': {
    get: route(
      'hearMonitor',
      'What the arc monitor measures, as server-sent events; a connection that was cut goes on after its last number',
      {
        200: file(
          'Events `about` (whether it is simulated) and `batch` with session, seq, atS, samplesPerS and readings: volts, amps, wire speed in mm/min, gas in L/min',
          'text/event-stream',
        ),
        503: problem('Too many are connected'),
        ...INVALID,
      },
      { query: monitorQuerySchema.shape },
    ),
  },
  '/api/supplier/prices': {
    post: route(
      'askSupplier',
      'Asks the supplier for price, stock and lead time; what cannot be so is left out, with why',
      {
        200: json(
          'What was answered and can be believed',
          z.object({
            isStandIn: z.boolean(),
            items: z.array(pricedSchema),
            refused: z.array(z.object({ item: z.string(), why: z.string() })),
          }),
        ),
        503: problem('The supplier does not answer'),
        ...INVALID,
      },
      { body: pricesAskedSchema },
    ),
  },
  '/api/supplier/orders': {
    post: route(
      'sendOrder',
      'Sends an order to the supplier; sent again it is the same order, also where its answer was lost',
      {
        200: json(
          'What the supplier calls it, and when it comes',
          takenSchema.extend({ isStandIn: z.boolean() }),
        ),
        503: problem('The supplier does not answer'),
        ...INVALID,
      },
      { body: orderSentSchema },
    ),
  },
  '/api/log': {
    get: route(
      'searchLog',
      'The log of welds, newest first, by words and filters; corrected and withdrawn rows are left out',
      {
        200: json(
          'Rows, and where the next page begins; null after the last',
          z.object({ epoch: z.string(), items: z.array(logRowSchema), next: z.string().nullable() }),
        ),
        ...INVALID,
      },
      { query: logQuerySchema.shape },
    ),
  },
  '/api/wear': {
    get: route('listWear', 'What is worn at each machine and how its breakers held, by its own log', {
      200: json(
        'By machine: use since a part was changed last, against how long it lasts here, in g of wire, s of arc or starts',
        z.object({
          items: z.array(
            z.object({
              sourceId: z.string(),
              wear: z.array(
                z.object({
                  part: z.enum(WEAR_PARTS),
                  unit: z.enum(WEAR_UNITS),
                  used: z.number(),
                  life: z.number(),
                  learnedFrom: z.int(),
                  state: z.enum(WEAR_STATES),
                  since: z.iso.datetime().nullable(),
                }),
              ),
              breakers: z.array(
                z.object({
                  key: z.string(),
                  circuitId: z.string(),
                  sourceId: z.string(),
                  held: z.int(),
                  tripped: z.int(),
                  trippedAt: z.iso.datetime().nullable(),
                }),
              ),
            }),
          ),
        }),
      ),
    }),
  },
}

const KEEPING: ZodOpenApiPathsObject = {
  '/api/audit': {
    get: route(
      'listAudit',
      'Who did what and when, latest first, 200 at a time',
      { 200: items('Lines'), ...INVALID },
      { query: { before: z.string().regex(/^\d+$/).optional() } },
    ),
  },
  '/api/audit.csv': { get: route('exportAudit', 'All of it as CSV', { 200: file('CSV', 'text/csv') }) },
  '/api/backups': {
    get: route('listBackups', 'The backups, latest first', { 200: items('Names, times, sizes') }),
    post: route('makeBackup', 'Makes a backup now', {
      201: said('Made'),
      503: problem('It could not be made'),
    }),
  },
  '/api/backups/{name}': {
    get: route(
      'getBackup',
      'One backup, in pg_dump’s custom format',
      { 200: file('The file', 'application/octet-stream'), ...NOT_HERE },
      { path: textIn('name') },
    ),
  },
  '/api/deleted': {
    get: route('listDeleted', 'What was deleted and is not there again', {
      200: json(
        'Latest first; make a record with the version’s content to have it back',
        z.object({
          items: z.array(
            z.object({
              ...textIn('path', 'id', 'who'),
              actorId: z.string().nullable(),
              actorKind: z.string().nullable(),
              name: z.string().nullable(),
              version: z.int(),
              at: z.iso.datetime(),
            }),
          ),
        }),
      ),
    }),
  },
  '/api/history/{path}/{id}': {
    get: route(
      'listVersions',
      'Every version of a record: when, and by whom',
      { 200: items('Latest first'), ...NOT_HERE },
      { path: textIn('path', 'id') },
    ),
  },
  '/api/history/{path}/{id}/{version}': {
    get: route(
      'getVersion',
      'A record as it was',
      { 200: said('The version'), ...NOT_HERE },
      { path: textIn('path', 'id', 'version') },
    ),
  },
  '/metrics': {
    get: route('metrics', 'What the server counts of itself, for Prometheus', {
      200: file('Text', 'text/plain'),
    }),
  },
}

const shop = oneOf('The shop', 'shop')
const writtenSchema = z.object({
  items: z.array(z.object({ ...textIn('path', 'id'), version: z.int().min(1) })),
})
const DOCUMENTS: ZodOpenApiPathsObject = {
  '/api/fit': {
    post: route(
      'fit',
      'Fits a job to a set-up: figures and sentences; stores nothing',
      { 200: json('Criteria and chains', fitAnswerSchema), ...INVALID },
      {
        query: {
          explain: z.string().optional().meta({
            description: 'Ids of criteria, parted by commas: their workings come with the answer',
          }),
        },
        body: fitDocumentSchema,
      },
    ),
  },
  '/api/shop': {
    get: route('getShop', 'The shop', { 200: shop, ...NOT_HERE }),
    put: route(
      'replaceShop',
      'Replaces the shop’s settings',
      { 200: shop, ...VERSIONED, ...INVALID },
      { header: { ...IF_MATCH, ...KEY }, body: SHOP.schema },
    ),
  },
  '/api/catalogue': {
    get: route('getCatalogue', 'All equipment as one catalogue', {
      200: json('The catalogue', catalogueSchema),
    }),
    post: route(
      'addCatalogue',
      'Takes in many things at once, all or none: new ones, and stored ones with the version they replace',
      {
        200: json('What was written', writtenSchema),
        409: problem('An id is taken, and its version is not named'),
        412: problem('A stored record is newer than yours, or the server holds another shop'),
        428: problem('Versions are named, and Shop-Epoch is missing'),
        ...INVALID,
      },
      { header: KEY, body: catalogueImportSchema },
    ),
  },
  '/api/catalogue/schema.json': {
    get: route('catalogueSchema', 'JSON Schema of the catalogue', {
      200: json('JSON Schema', z.record(z.string(), z.unknown()), 'application/schema+json'),
    }),
  },
  '/api/catalogue/library': {
    get: route('getLibrary', 'The generic library that ships with the product, as a catalogue', {
      200: json('The library', catalogueSchema),
    }),
  },
  '/api/whole': {
    get: route('getWhole', 'The whole shop as one file, set-ups, jobs and counts included', {
      200: json('The shop', shopDocumentSchema),
      ...NOT_HERE,
    }),
    post: route(
      'replaceWhole',
      'Stores a whole shop in the place of the stored one, all or none. What there was stays in the history and in backups',
      {
        ...NOTHING,
        409: problem('Another shop is stored than the one that is named'),
        ...ANOTHER_SHOP,
        ...INVALID,
      },
      { header: KEY, body: wholeImportSchema },
    ),
  },
  '/api/whole/demo': {
    post: route(
      'beginWithDemo',
      'Stores the demo in a database that holds no shop',
      {
        ...NOTHING,
        400: problem('There is no such demo'),
        409: problem('A shop is stored already'),
        ...ANOTHER_SHOP,
      },
      { query: { demo: z.enum(DEMOS).optional() }, header: KEY },
    ),
  },
}

const NAMED = {
  Catalogue: catalogueSchema,
  CatalogueImport: catalogueImportSchema,
  WholeShop: shopDocumentSchema,
  WholeShopImport: wholeImportSchema,
  FitDocument: fitDocumentSchema,
  FitAnswer: fitAnswerSchema,
  Problem: problemSchema,
}

export const openApiDocument = (): object =>
  createDocument(
    {
      openapi: '3.1.0',
      info: {
        title: 'Brannik',
        version: VERSION,
        description:
          'Fits welding jobs to set-ups. Lengths in mm, currents in A, volumes of gas in L, masses in g, times in s or h, as each name says.',
        license: { name: 'Not licensed to others', identifier: 'LicenseRef-unlicensed' },
      },
      servers: [{ url: '/', description: 'The server that gives this document' }],
      // Neither on loopback without sign-in; one of the two everywhere else.
      security: [{}, { session: [] }, { token: [] }],
      paths: {
        ...DOORS,
        ...HAPPENINGS,
        ...KEEPING,
        ...DOCUMENTS,
        ...Object.assign({}, ...ALL_KINDS.filter((kind) => kind !== SHOP).map(collectionPaths)),
      },
      components: {
        securitySchemes: {
          session: { type: 'apiKey', in: 'cookie', name: 'brannik' },
          token: { type: 'http', scheme: 'bearer' },
        },
        schemas: {
          ...Object.fromEntries(ALL_KINDS.map(({ schemaName, schema }) => [schemaName, schema])),
          ...NAMED,
        },
      },
    },
    {
      override({ jsonSchema }) {
        // What concerns forms and sheets alone is not told; title and description are.
        delete jsonSchema['field']
      },
    },
  )
