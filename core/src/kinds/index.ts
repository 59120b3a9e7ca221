/** Every kind of record, what is named before what names it. A new kind is a file beside this one, and a line here. */
import type { z } from 'zod'
import { circuitKind } from './circuit.ts'
import { cylinderKind } from './cylinder.ts'
import { decisionKind } from './decision.ts'
import { feederKind } from './feeder.ts'
import { gasKind } from './gas.ts'
import { generatorKind } from './generator.ts'
import { gunKind } from './gun.ts'
import { jobKind } from './job.ts'
import type { Scope } from './kind.ts'
import { offerKind } from './offer.ts'
import { orderKind } from './order.ts'
import { otherLoadKind } from './otherLoad.ts'
import { panelKind } from './panel.ts'
import { partKind } from './part.ts'
import { powerSourceKind } from './powerSource.ts'
import { presentSetUpKind } from './presentSetUp.ts'
import { quoteKind } from './quote.ts'
import { requirementSheetKind } from './requirementSheet.ts'
import { setUpKind } from './setUp.ts'
import { shopKind } from './shop.ts'
import { spoolKind } from './spool.ts'
import { defineStock } from './stock.ts'
import { supplierKind } from './supplier.ts'
import { tungstenKind } from './tungsten.ts'
import { welderKind } from './welder.ts'
import { wireKind } from './wire.ts'
import { workPlanKind } from './workPlan.ts'

const DOCUMENTS = [
  shopKind,
  generatorKind,
  panelKind,
  circuitKind,
  otherLoadKind,
  powerSourceKind,
  feederKind,
  gunKind,
  partKind,
  wireKind,
  gasKind,
  tungstenKind,
  cylinderKind,
  spoolKind,
  supplierKind,
  offerKind,
  presentSetUpKind,
  setUpKind,
  jobKind,
  welderKind,
  requirementSheetKind,
  decisionKind,
  orderKind,
  quoteKind,
  workPlanKind,
] as const

export const KINDS = [...DOCUMENTS, defineStock(DOCUMENTS)] as const

export type Definition = (typeof KINDS)[number]
export type RecordKind = Definition['kind']
/** A record by the name of its kind. */
export type RecordOf<K extends RecordKind = RecordKind> = z.infer<Extract<Definition, { kind: K }>['schema']>
export type RecordPath = Definition['path']
/** Paths of the kinds of these scopes. */
export type PathsOf<S extends Scope> = Extract<Definition, { scope: S }>['path']
/** A record by the path under which it is served. */
export type RecordAt = { [D in Definition as D['path']]: z.infer<D['schema']> }
export type StockItem = RecordOf<'stock'>

/** The lists of a file that holds these scopes, by their keys. */
export type ListsOf<S extends Scope> = {
  [D in Extract<Definition, { scope: S }> as D['listKey']]: z.infer<D['schema']>[]
}

/**
 * @returns what a kind is, with its schema
 * @example definitionOf('wire').schema
 */
export function definitionOf<K extends RecordKind>(kind: K): Extract<Definition, { kind: K }> {
  const found = KINDS.find((one) => one.kind === kind)
  if (!found) throw new RangeError(`there is no kind ${kind}`)
  return found as Extract<Definition, { kind: K }>
}
/** The schema of whatever kind it is: what it reads has an id, and more. */
export const schemaOf = (kind: RecordKind): z.ZodType<{ id: string }> => definitionOf(kind).schema
