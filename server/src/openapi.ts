/** The OpenAPI document, made from the schemas that check the input. */
import { DEMOS } from './demoShop.ts'
import {
  catalogueSchema,
  fitDocumentSchema,
  keptEventSchema,
  shopDocumentSchema,
  toldEventSchema,
} from '@brannik/core'
import { z } from 'zod'
import { eventQuerySchema } from './events/routes.ts'
import { fitAnswerSchema } from './fitAnswer.ts'
import { changedAccountSchema, newAccountSchema } from './access/accounts.ts'
import { newTokenSchema } from './access/tokens.ts'
import { catalogueImportSchema, wholeImportSchema } from './documents/documents.ts'
import { LIMITS } from './limits.ts'
import { passwordChangeSchema, signInSchema } from './routes/access.ts'
import { VERSION } from './routes/health.ts'
import { filterFieldsOf } from './routes/lists.ts'
import { ALL_KINDS, COLLECTIONS, COUNTS, type Kind } from './stores/kinds.ts'

const jsonSchema = (schema: z.ZodType): object => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
    // What concerns forms and sheets alone is not told; title and description are.
    override({ jsonSchema: described }) {
      delete described['field']
    },
  })
  return rest
}

const content = (schema: object) => ({ 'application/json': { schema } })
const reference = (name: string) => ({ $ref: `#/components/schemas/${name}` })
const stored = (name: string) => ({
  type: 'object',
  required: ['version', 'record'],
  properties: { version: { type: 'integer', minimum: 1 }, record: reference(name) },
})
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: reference('Problem') } },
})
const ETAG = { ETag: { description: 'version of the record, quoted', schema: { type: 'string' } } }
const IF_MATCH = {
  name: 'If-Match',
  in: 'header',
  required: true,
  description: 'the ETag of the version that you have',
  schema: { type: 'string', examples: ['"3"'] },
}
const KEY = {
  name: 'Idempotency-Key',
  in: 'header',
  required: false,
  description: `a text of your own, such as a UUID: the same request with the same key is done once, and answered alike for ${LIMITS.answerHours} h`,
  schema: { type: 'string', minLength: 1, maxLength: 200 },
}
const PAGE = [
  {
    name: 'limit',
    in: 'query',
    schema: { type: 'integer', minimum: 1, maximum: LIMITS.pageMostItems, default: LIMITS.pageItems },
  },
  {
    name: 'after',
    in: 'query',
    description: '`next` of the page before',
    schema: { type: 'string' },
  },
]
/** By what a list can be cut down. */
const filtersOf = (kind: Kind): object[] => [
  ...(kind.kind === 'stock'
    ? []
    : [
        {
          name: 'search',
          in: 'query',
          description: 'Words that must all occur in the name, in any order',
          schema: { type: 'string' },
        },
      ]),
  ...[...filterFieldsOf(kind)].map(([name, schema]) => ({ name, in: 'query', schema: jsonSchema(schema) })),
]
const ID = {
  name: 'id',
  in: 'path',
  required: true,
  schema: { type: 'string', pattern: '^[a-z0-9][a-z0-9-]{0,63}$' },
}

const INVALID = {
  422: problem('A field is not right: `errors` names each with a JSON Pointer and the remedy'),
}
const VERSIONED = {
  404: problem('No such record'),
  412: problem('The stored record is newer than yours'),
  428: problem('If-Match is missing'),
}

function collectionPaths(kindOfList: Kind): Record<string, object> {
  const { path, schemaName, kind } = kindOfList
  const one = { description: `The ${kind}`, headers: ETAG, content: content(stored(schemaName)) }
  const body = { required: true, content: content(reference(schemaName)) }
  return {
    [`/api/${path}`]: {
      get: {
        summary: `Of kind ${kind}, by name, a page at a time`,
        parameters: [...PAGE, ...filtersOf(kindOfList)],
        responses: {
          304: { description: 'As your If-None-Match has it' },
          200: {
            description: 'By name',
            headers: ETAG,
            content: content({
              type: 'object',
              required: ['items', 'next'],
              properties: {
                items: { type: 'array', items: stored(schemaName) },
                next: { type: ['string', 'null'], description: 'for `after`; null on the last page' },
              },
            }),
          },
        },
      },
      post: {
        summary: `Adds a ${kind}; its id is yours to choose`,
        parameters: [KEY],
        requestBody: body,
        responses: { 201: one, 409: problem('The id is taken'), ...INVALID },
      },
    },
    [`/api/${path}/{id}`]: {
      parameters: [ID],
      get: { summary: `One ${kind}`, responses: { 200: one, 404: VERSIONED[404] } },
      put: {
        summary: `Replaces a ${kind}`,
        parameters: [IF_MATCH, KEY],
        requestBody: body,
        responses: { 200: one, ...VERSIONED, ...INVALID },
      },
      delete: {
        summary: `Deletes a ${kind} that nothing uses`,
        parameters: [IF_MATCH, KEY],
        responses: { 204: { description: 'Deleted' }, 409: problem('Another record uses it'), ...VERSIONED },
      },
    },
  }
}

/** A route in a line: what it does, and what it answers. */
const plain = (summary: string, responses: Record<number, object>, more: object = {}) => ({
  summary,
  responses,
  ...more,
})
const said = (description: string) => ({ description })
const NOTHING = { 204: said('Done') }
const takes = (schema: z.ZodType) => ({
  requestBody: { required: true, content: content(jsonSchema(schema)) },
})
const UUID = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }
const inPath = (name: string) => ({ name, in: 'path', required: true, schema: { type: 'string' } })
const REFUSED = { 401: problem('Nobody is signed in'), 403: problem('The role does not allow it') }
const READY = { 200: said('Both answer'), 503: said('The database does not, yet') }

const DOORS = {
  '/api/live': { get: plain('Whether the server lives', { 200: said('It does') }) },
  '/api/ready': { get: plain('Whether it is ready to work', READY) },
  '/api/health': { get: plain('The same as ready', READY) },
  '/api/version': { get: plain('Which version this is', { 200: said('Name and version') }) },
  '/api/me': {
    get: plain('Who asks, in which role, and whether sign-in is asked here', { 200: said('You') }),
  },
  '/api/changes': {
    get: plain(
      'What is changed, by anybody, as server-sent events while it is connected; first what was missed since a position',
      {
        200: {
          description:
            'Events `change` with path, id and new version (0: deleted; no id: very many at once), `position` up to where everything has been told, `happened` with the first new event, and `lost` where nobody knows what was missed',
          content: { 'text/event-stream': { schema: { type: 'string' } } },
        },
        503: problem('Too many are connected'),
      },
      {
        parameters: [
          {
            name: 'since',
            in: 'query',
            schema: { type: 'string' },
            description: 'A position; the header `Last-Event-ID` of a connection that was cut goes before it',
          },
        ],
      },
    ),
  },
  '/api/changes/position': {
    get: plain(
      'Up to where everything has been told: asked for before the lists, it is where the changes begin',
      {
        200: said('The position'),
      },
    ),
  },
  '/api/events': {
    get: plain(
      'What happened, oldest first; ask again with `next` as `since` to go on',
      {
        200: {
          description: 'Events, and the number to go on from',
          content: content({
            type: 'object',
            required: ['items', 'next'],
            properties: {
              items: { type: 'array', items: jsonSchema(keptEventSchema) },
              next: { type: 'integer' },
            },
          }),
        },
        ...INVALID,
      },
      {
        parameters: Object.entries(eventQuerySchema.shape).map(([name, schema]) => ({
          name,
          in: 'query',
          schema: jsonSchema(schema),
        })),
      },
    ),
    post: plain(
      'Tells of something that happened; what cannot have happened is refused',
      {
        201: { description: 'As it is kept', content: content(jsonSchema(keptEventSchema)) },
        200: { description: 'Told before under this key', content: content(jsonSchema(keptEventSchema)) },
        409: problem('It cannot have happened: there is not enough, or nobody has counted'),
        ...REFUSED,
        ...INVALID,
      },
      { parameters: [KEY], ...takes(toldEventSchema) },
    ),
  },
  '/api/sign-in': {
    post: plain(
      'Opens a session and gives its cookie',
      {
        200: said('You are in'),
        401: problem('Name and password do not belong together'),
        429: problem('Wait'),
      },
      takes(signInSchema),
    ),
  },
  '/api/sign-out': { post: plain('Ends this session', NOTHING) },
  '/api/sign-out-everywhere': {
    post: plain('Ends all sessions of this account', { ...NOTHING, ...REFUSED }),
  },
  '/api/password': {
    put: plain(
      'Changes the own password',
      { ...NOTHING, ...REFUSED, ...INVALID },
      takes(passwordChangeSchema),
    ),
  },
  '/api/accounts': {
    get: plain('All accounts', { 200: said('By name'), ...REFUSED }),
    post: plain(
      'Makes an account',
      { 201: said('Made'), 409: problem('The name is taken'), ...REFUSED, ...INVALID },
      takes(newAccountSchema),
    ),
  },
  '/api/accounts/{id}': {
    parameters: [UUID],
    put: plain(
      'Changes role or password, or shuts out; ends its sessions',
      { 200: said('Changed'), 409: problem('It is the last owner'), ...REFUSED, ...INVALID },
      takes(changedAccountSchema),
    ),
    delete: plain('Takes an account away', { ...NOTHING, 409: problem('It is the last owner'), ...REFUSED }),
  },
  '/api/tokens': {
    get: plain('Tokens of other programs, without their secrets', { 200: said('By name'), ...REFUSED }),
    post: plain(
      'Makes a token; its secret is told this once',
      { 201: said('Made'), ...REFUSED, ...INVALID },
      takes(newTokenSchema),
    ),
  },
  '/api/tokens/{id}': { parameters: [UUID], delete: plain('Takes a token back', { ...NOTHING, ...REFUSED }) },
}

const deleted = {
  type: 'object',
  properties: {
    path: { type: 'string' },
    id: { type: 'string' },
    name: { type: 'string' },
    version: { type: 'integer' },
    at: { type: 'string', format: 'date-time' },
    who: { type: 'string' },
  },
}
const KEEPING = {
  '/api/audit': {
    get: plain(
      'Who did what and when, latest first, 200 at a time',
      { 200: said('Lines'), ...REFUSED },
      { parameters: [{ name: 'before', in: 'query', schema: { type: 'string', pattern: '^[0-9]+$' } }] },
    ),
  },
  '/api/audit.csv': { get: plain('All of it as CSV', { 200: said('CSV'), ...REFUSED }) },
  '/api/backups': {
    get: plain('The backups, latest first', { 200: said('Names, times, sizes') }),
    post: plain('Makes a backup now', {
      201: said('Made'),
      503: problem('It could not be made'),
      ...REFUSED,
    }),
  },
  '/api/backups/{name}': {
    parameters: [inPath('name')],
    get: plain('One backup, in pg_dump’s custom format', { 200: said('The file'), ...REFUSED }),
  },
  '/api/deleted': {
    get: plain('What was deleted and is not there again', {
      200: {
        description: 'Latest first; make a record with the version’s content to have it back',
        content: content({ type: 'object', properties: { items: { type: 'array', items: deleted } } }),
      },
    }),
  },
  '/api/history/{path}/{id}': {
    parameters: [inPath('path'), inPath('id')],
    get: plain('Every version of a record: when, and by whom', { 200: said('Latest first') }),
  },
  '/api/history/{path}/{id}/{version}': {
    parameters: [inPath('path'), inPath('id'), inPath('version')],
    get: plain('A record as it was', { 200: said('The version'), 404: problem('There is no such version') }),
  },
  '/metrics': {
    get: plain('What the server counts of itself, for Prometheus', { 200: said('Text'), ...REFUSED }),
  },
}

export function openApiDocument(): object {
  const shop = { description: 'The shop', headers: ETAG, content: content(stored('Shop')) }
  const schemas = Object.fromEntries(
    ALL_KINDS.map(({ schemaName, schema }) => [schemaName, jsonSchema(schema)]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Brannik',
      version: VERSION,
      description:
        'Fits welding jobs to set-ups. Lengths in mm, currents in A, volumes of gas in L, masses in g, times in s or h, as each name says.',
    },
    // Neither on loopback without sign-in; one of the two everywhere else.
    security: [{}, { session: [] }, { token: [] }],
    paths: {
      '/api/openapi.json': {
        get: { summary: 'This document', responses: { 200: { description: 'OpenAPI 3.1' } } },
      },
      '/api/fit': {
        post: {
          summary: 'Fits a job to a set-up: figures and sentences; stores nothing',
          parameters: [
            {
              name: 'explain',
              in: 'query',
              description: 'Ids of criteria, parted by commas: their workings come with the answer',
              schema: { type: 'string' },
            },
          ],
          requestBody: { required: true, content: content(reference('FitDocument')) },
          responses: {
            200: { description: 'Criteria and chains', content: content(reference('FitAnswer')) },
            ...INVALID,
          },
        },
      },
      '/api/shop': {
        get: { summary: 'The shop', responses: { 200: shop } },
        put: {
          summary: 'Replaces the shop’s settings',
          parameters: [IF_MATCH, KEY],
          requestBody: { required: true, content: content(reference('Shop')) },
          responses: { 200: shop, ...VERSIONED, ...INVALID },
        },
      },
      ...DOORS,
      ...KEEPING,
      '/api/catalogue': {
        get: {
          summary: 'All equipment as one catalogue',
          responses: { 200: { description: 'The catalogue', content: content(reference('Catalogue')) } },
        },
        post: {
          parameters: [KEY],
          summary:
            'Takes in many things at once, all or none: new ones, and stored ones with the version they replace',
          requestBody: { required: true, content: content(reference('CatalogueImport')) },
          responses: {
            200: {
              description: 'What was written',
              content: content({
                type: 'object',
                required: ['items'],
                properties: {
                  items: {
                    type: 'array',
                    items: {
                      type: 'object',
                      required: ['path', 'id', 'version'],
                      properties: {
                        path: { type: 'string' },
                        id: { type: 'string' },
                        version: { type: 'integer', minimum: 1 },
                      },
                    },
                  },
                },
              }),
            },
            409: problem('An id is taken, and its version is not named'),
            412: VERSIONED[412],
            ...INVALID,
          },
        },
      },
      '/api/whole': {
        get: {
          summary: 'The whole shop as one file, set-ups, jobs and counts included',
          responses: {
            200: { description: 'The shop', content: content(reference('WholeShop')) },
            404: problem('No shop has begun'),
          },
        },
        post: {
          parameters: [KEY],
          summary:
            'Stores a whole shop in the place of the stored one, all or none. What there was stays in the history and in backups',
          requestBody: { required: true, content: content(reference('WholeShopImport')) },
          responses: {
            204: { description: 'Stored' },
            409: problem('Another shop is stored than the one that is named'),
            ...INVALID,
          },
        },
      },
      '/api/whole/demo': {
        post: {
          parameters: [
            KEY,
            {
              name: 'demo',
              in: 'query',
              description: 'inch: on inches under NEC and AWS; metric: in millimetres under IEC and EN ISO',
              schema: { enum: DEMOS, default: 'inch' },
            },
          ],
          summary: 'Stores a demo shop, where no shop has begun',
          responses: {
            204: { description: 'Stored' },
            400: problem('There is no such demo'),
            409: problem('A shop is stored already'),
          },
        },
      },
      '/api/catalogue/schema.json': {
        get: { summary: 'JSON Schema of the catalogue', responses: { 200: { description: 'JSON Schema' } } },
      },
      '/api/catalogue/library': {
        get: {
          summary: 'The generic library that ships with the product, as a catalogue',
          responses: { 200: { description: 'The library', content: content(reference('Catalogue')) } },
        },
      },
      ...Object.assign({}, ...[...COLLECTIONS, COUNTS].map(collectionPaths)),
    },
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'brannik' },
        token: { type: 'http', scheme: 'bearer' },
      },
      schemas: {
        ...schemas,
        Catalogue: jsonSchema(catalogueSchema),
        CatalogueImport: jsonSchema(catalogueImportSchema),
        WholeShop: jsonSchema(shopDocumentSchema),
        WholeShopImport: jsonSchema(wholeImportSchema),
        FitDocument: jsonSchema(fitDocumentSchema),
        FitAnswer: jsonSchema(fitAnswerSchema),
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'detail'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            currentVersion: { type: 'integer' },
            requestId: { type: 'string', description: 'as the log of the server has it' },
            outcome: {
              const: 'unknown',
              description: 'a write of which it is not known whether it was stored',
            },
            errors: {
              type: 'array',
              items: {
                type: 'object',
                required: ['pointer', 'field', 'message'],
                properties: {
                  pointer: { type: 'string' },
                  field: { type: 'string' },
                  message: { type: 'string' },
                },
              },
            },
          },
        },
      },
    },
  }
}
