/** The OpenAPI document, made from the schemas that check the input. */
import { catalogueSchema, fitDocumentSchema } from '@brannik/core'
import { z } from 'zod'
import { fitAnswerSchema } from './fitAnswer.ts'
import { catalogueImportSchema } from './routes/catalogue.ts'
import { COLLECTIONS, type Kind, SHOP } from './stores/kinds.ts'

const jsonSchema = (schema: z.ZodType): object => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' })
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

function collectionPaths({ path, schemaName, kind }: Kind): Record<string, object> {
  const one = { description: `The ${kind}`, headers: ETAG, content: content(stored(schemaName)) }
  const body = { required: true, content: content(reference(schemaName)) }
  return {
    [`/api/${path}`]: {
      get: {
        summary: `All of kind ${kind}`,
        responses: {
          200: {
            description: 'By name',
            content: content({
              type: 'object',
              required: ['items'],
              properties: { items: { type: 'array', items: stored(schemaName) } },
            }),
          },
        },
      },
      post: {
        summary: `Adds a ${kind}; its id is yours to choose`,
        requestBody: body,
        responses: { 201: one, 409: problem('The id is taken'), ...INVALID },
      },
    },
    [`/api/${path}/{id}`]: {
      parameters: [ID],
      get: { summary: `One ${kind}`, responses: { 200: one, 404: VERSIONED[404] } },
      put: {
        summary: `Replaces a ${kind}`,
        parameters: [IF_MATCH],
        requestBody: body,
        responses: { 200: one, ...VERSIONED, ...INVALID },
      },
      delete: {
        summary: `Deletes a ${kind} that nothing uses`,
        parameters: [IF_MATCH],
        responses: { 204: { description: 'Deleted' }, 409: problem('Another record uses it'), ...VERSIONED },
      },
    },
  }
}

export function openApiDocument(): object {
  const shop = { description: 'The shop', headers: ETAG, content: content(stored('Shop')) }
  const schemas = Object.fromEntries(
    [SHOP, ...COLLECTIONS].map(({ schemaName, schema }) => [schemaName, jsonSchema(schema)]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Brannik',
      version: '0.1.0',
      description:
        'Fits welding jobs to set-ups. Lengths in mm, currents in A, volumes of gas in L, masses in g, times in s or h, as each name says.',
    },
    paths: {
      '/api/health': {
        get: {
          summary: 'Whether server and database answer',
          responses: { 200: { description: 'Both answer' }, 503: { description: 'The database does not' } },
        },
      },
      '/api/openapi.json': {
        get: { summary: 'This document', responses: { 200: { description: 'OpenAPI 3.1' } } },
      },
      '/api/fit': {
        post: {
          summary: 'Fits a job to a set-up; stores nothing',
          requestBody: { required: true, content: content(reference('FitDocument')) },
          responses: {
            200: { description: 'Findings and chains', content: content(reference('FitAnswer')) },
            ...INVALID,
          },
        },
      },
      '/api/shop': {
        get: { summary: 'The shop', responses: { 200: shop } },
        put: {
          summary: 'Replaces the shop’s settings',
          parameters: [IF_MATCH],
          requestBody: { required: true, content: content(reference('Shop')) },
          responses: { 200: shop, ...VERSIONED, ...INVALID },
        },
      },
      '/api/catalogue': {
        get: {
          summary: 'All equipment as one catalogue',
          responses: { 200: { description: 'The catalogue', content: content(reference('Catalogue')) } },
        },
        post: {
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
      '/api/catalogue/schema.json': {
        get: { summary: 'JSON Schema of the catalogue', responses: { 200: { description: 'JSON Schema' } } },
      },
      '/api/catalogue/library': {
        get: {
          summary: 'The generic library that ships with the product, as a catalogue',
          responses: { 200: { description: 'The library', content: content(reference('Catalogue')) } },
        },
      },
      ...Object.assign({}, ...COLLECTIONS.map(collectionPaths)),
    },
    components: {
      schemas: {
        ...schemas,
        Catalogue: jsonSchema(catalogueSchema),
        CatalogueImport: jsonSchema(catalogueImportSchema),
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
