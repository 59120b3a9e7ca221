/** What the simulated supplier understands, as an OpenAPI document; a supplier of the shop's own may be asked the same way. */

const text = { type: 'string' } as const
const number = { type: 'number' } as const
const orNull = (type: 'number' | 'integer') => ({ type: [type, 'null'] })
const json = (schema: object) => ({ content: { 'application/json': { schema } } })
const problem = (description: string) => ({
  description,
  ...json({ type: 'object', required: ['title'], properties: { title: text } }),
})
const list = (key: string, items: object) => ({
  type: 'object',
  required: [key],
  properties: { [key]: { type: 'array', minItems: 1, maxItems: 200, items } },
})

const asked = {
  type: 'object',
  required: ['item', 'kind', 'classification', 'diameterMm', 'packSize'],
  properties: {
    item: { ...text, description: 'The name of the item with who asks; it comes back' },
    kind: { type: 'string', enum: ['wire', 'gas', 'tungsten', 'part'] },
    classification: { ...text, description: 'AWS or ISO class, for example ER70S-6, M21-ArC-25, WLa20' },
    diameterMm: orNull('number'),
    packSize: { ...number, description: 'g of wire, L of gas, pieces' },
  },
}
const priced = {
  type: 'object',
  required: ['item', 'price', 'currency', 'inStock', 'leadDays', 'breakFrom', 'breakPrice'],
  properties: {
    item: text,
    price: { ...number, minimum: 0, description: 'For one package' },
    currency: { ...text, pattern: '^[A-Z]{3}$' },
    inStock: { type: 'integer', minimum: 0, description: 'Packages' },
    leadDays: { type: 'integer', minimum: 0, maximum: 365 },
    breakFrom: { ...orNull('integer'), description: 'Packages from which the break price counts' },
    breakPrice: orNull('number'),
  },
}

export const SUPPLIER_API = {
  openapi: '3.1.0',
  info: { title: 'Simulated supplier', version: '1', description: 'Invented goods at invented prices.' },
  servers: [{ url: '/' }],
  paths: {
    '/prices': {
      post: {
        operationId: 'askPrices',
        summary: 'Price, stock and lead time by classification and size',
        requestBody: { required: true, ...json(list('items', asked)) },
        responses: {
          200: { description: 'Prices', ...json(list('items', priced)) },
          422: problem('What is asked for cannot be read'),
          503: problem('Down for a moment'),
        },
      },
    },
    '/orders': {
      post: {
        operationId: 'placeOrder',
        summary: 'Takes an order once for its key, however often it is sent',
        parameters: [{ name: 'Idempotency-Key', in: 'header', required: true, schema: text }],
        requestBody: {
          required: true,
          ...json(
            list('lines', {
              type: 'object',
              required: ['item', 'packs'],
              properties: { item: text, packs: { type: 'integer', minimum: 1 }, priceEach: orNull('number') },
            }),
          ),
        },
        responses: {
          200: {
            description: 'Taken before',
            ...json({ type: 'object', properties: { number: text, leadDays: number } }),
          },
          201: {
            description: 'Taken',
            ...json({ type: 'object', properties: { number: text, leadDays: number } }),
          },
          422: problem('The order cannot be read'),
          503: problem('Down for a moment'),
        },
      },
    },
  },
} as const
