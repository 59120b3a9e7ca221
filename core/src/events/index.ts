/** Every type of happening. A new one is a file beside this one, a line here, and what it does in `server/src/events`. */
import { z } from 'zod'
import { keptSchema, toldSchema } from './event.ts'
import { stockMovement } from './stockMovement.ts'

export const EVENTS = [stockMovement] as const

export type EventType = (typeof EVENTS)[number]['type']
export const EVENT_TYPES = EVENTS.map(({ type }) => type) as readonly EventType[]

export const toldEventSchema = z.discriminatedUnion('type', [toldSchema(stockMovement)])
export type ToldEvent = z.infer<typeof toldEventSchema>
export const keptEventSchema = z.discriminatedUnion('type', [keptSchema(stockMovement)])
export type KeptEvent = z.infer<typeof keptEventSchema>
