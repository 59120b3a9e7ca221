/** Everything that a shop has, and the documents in which it travels: for a fit, and as a whole shop. */
import { z } from 'zod'
import {
  circuitSchema,
  generatorSchema,
  loadSchema,
  panelSchema,
  feederSchema,
  gasSchema,
  gunSchema,
  partSchema,
  powerSourceSchema,
  setUpSchema,
  tungstenSchema,
  wireSchema,
} from './equipment.ts'
import { decisionSchema } from './decision.ts'
import { jobSchema } from './job.ts'
import { requirementSheetSchema } from './requirementSheet.ts'
import { shopSchema } from './shop.ts'
import { stockItemSchema } from './stockItem.ts'
import { fileVersionOf } from './versions.ts'

/** What is counted, once each. */
export const stockSchema = z
  .array(stockItemSchema)
  .max(10_000)
  .check((ctx) => {
    const seen = new Set<string>()
    ctx.value.forEach(({ id }, index) => {
      if (seen.has(id))
        ctx.issues.push({
          code: 'custom',
          path: [index, 'id'],
          input: id,
          message: `is “${id}”, which an earlier one has; count each thing once`,
        })
      seen.add(id)
    })
  })

const shelfShape = {
  generators: z.array(generatorSchema).max(200),
  panels: z.array(panelSchema).max(200),
  circuits: z.array(circuitSchema).max(200),
  loads: z.array(loadSchema).max(500),
  powerSources: z.array(powerSourceSchema).max(2000),
  feeders: z.array(feederSchema).max(2000),
  guns: z.array(gunSchema).max(2000),
  parts: z.array(partSchema).max(4000),
  wires: z.array(wireSchema).max(2000),
  gases: z.array(gasSchema).max(2000),
  tungstens: z.array(tungstenSchema).max(2000),
  stock: stockSchema,
}

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
  setUps: z.array(setUpSchema).max(5000),
  jobs: z.array(jobSchema).max(5000),
  requirementSheets: z.array(requirementSheetSchema).max(500),
  decisions: z.array(decisionSchema).max(5000),
})
export type ShopDocument = z.infer<typeof shopDocumentSchema>
