/** Every type of event. A new one is a file beside this one, a line here, and a file in `server/src/events`. */
import { z } from 'zod'
import { storedSchema, newSchema } from './event.ts'
import { stockMovement } from './stockMovement.ts'

export const EVENTS = [stockMovement] as const

export type EventType = (typeof EVENTS)[number]['type']
export const EVENT_TYPES = EVENTS.map(({ type }) => type) as readonly EventType[]

export const newEventSchema = z.discriminatedUnion('type', [newSchema(stockMovement)])
export type NewEvent = z.infer<typeof newEventSchema>
export const storedEventSchema = z.discriminatedUnion('type', [storedSchema(stockMovement)])
export type StoredEvent = z.infer<typeof storedEventSchema>
