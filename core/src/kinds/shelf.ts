/** Everything that a shop has, and the documents in which it travels: for a fit, and as a whole shop. */
import { z } from 'zod'
import { fileVersionOf } from './files.ts'
import { type Definition, definitionOf, KINDS } from './index.ts'
import { jobSchema } from './job.ts'
import type { Scope } from './kind.ts'
import { setUpSchema } from './setUp.ts'
import { shopSchema } from './shop.ts'

type ListSchemas<S extends Scope> = {
  [D in Extract<Definition, { scope: S }> as D['listKey']]: z.ZodArray<D['schema']>
}

/**
 * @param most how many each list may hold; without it what a shop may have
 * @returns by key, the schema of each list of these scopes
 */
export const listSchemas = <S extends Scope>(scopes: readonly S[], most?: number): ListSchemas<S> =>
  Object.fromEntries(
    KINDS.filter(({ scope }) => (scopes as readonly Scope[]).includes(scope)).map((kind) => [
      kind.listKey,
      kind.kind === 'stock' ? stockSchema : z.array<z.ZodType>(kind.schema).max(most ?? kind.most),
    ]),
  ) as unknown as ListSchemas<S>

const { schema: countSchema, most: MOST_COUNTS } = definitionOf('stock')
/** What is counted, once each. */
const stockSchema = z
  .array(countSchema)
  .max(MOST_COUNTS)
  .check((ctx) => {
    const seen = new Set<string>()
    ctx.value.forEach(({ id }, index) => {
      if (seen.has(id))
        ctx.issues.push({
          code: 'custom',
          path: [index, 'id'],
          input: id,
          message: `is “${id}”, which an earlier one has. Count each item once`,
        })
      seen.add(id)
    })
  })

const shelfShape = listSchemas(['building', 'equipment', 'stores', 'bench', 'count'])

/** What the shop has to choose from. */
export const shelfSchema = z.strictObject(shelfShape)
export type Shelf = z.infer<typeof shelfSchema>

/** The whole question of `POST /api/fit`: nothing of it needs to be stored. */
export const fitDocumentSchema = z.strictObject({
  /** Of the form of this document; where it is left out, the first one: what was added since takes its default. */
  version: z.literal(fileVersionOf('brannik-fit')).optional(),
  shop: shopSchema,
  ...shelfShape,
  setUp: setUpSchema,
  job: jobSchema,
})
export type FitDocument = z.infer<typeof fitDocumentSchema>

export const SHOP_DOCUMENT_FORMAT = 'brannik-shop'
/** A whole shop as one file: the open format of the demo and of backups. */
export const shopDocumentSchema = z.strictObject({
  format: z.literal(SHOP_DOCUMENT_FORMAT),
  version: z.literal(fileVersionOf('brannik-shop')),
  shop: shopSchema,
  ...shelfShape,
  ...listSchemas(['people', 'plan', 'paper']),
})
export type ShopDocument = z.infer<typeof shopDocumentSchema>
