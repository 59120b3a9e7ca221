/** Every type of event. A new one is a file beside this one, a line here, and a file in `server/src/events`. */
import { z } from 'zod'
import { newSchema, storedSchema } from './event.ts'
import { evidenceTaken } from './evidenceTaken.ts'
import { lessonSettled } from './lessonSettled.ts'
import { partReplaced } from './partReplaced.ts'
import { shopBegun } from './shopBegun.ts'
import { shopRestored } from './shopRestored.ts'
import { stepTicked } from './stepTicked.ts'
import { stockMovement } from './stockMovement.ts'
import { weldRecorded } from './weldRecorded.ts'
import { workMarked } from './workMarked.ts'

export const EVENTS = [
  stockMovement,
  stepTicked,
  weldRecorded,
  evidenceTaken,
  partReplaced,
  lessonSettled,
  workMarked,
  shopBegun,
  shopRestored,
] as const

type Definition = (typeof EVENTS)[number]
export type EventType = Definition['type']
type DefinitionOf<T extends EventType> = Extract<Definition, { type: T }>
/** Those that somebody records. */
export type RecordedType = Exclude<Definition, { writers: 'nobody' }>['type']
export const EVENT_TYPES = EVENTS.map(({ type }) => type) as readonly EventType[]

/** An event as a client sends it. */
export interface NewEvent<T extends RecordedType = RecordedType> {
  readonly type: T
  readonly subject: string
  readonly body: z.infer<DefinitionOf<T>['input']>
  /** The `seq` of the event that it corrects. */
  readonly corrects?: number | null | undefined
}
/** An event as it is stored. */
export interface StoredEvent<T extends EventType = EventType> {
  /** Rises in the order of commits: a client that has seen one has seen all before it. */
  readonly seq: number
  /** UTC, ISO 8601. */
  readonly at: string
  readonly who: string
  /** Of the account or the token: a name may be given out again. */
  readonly actorId: string | null
  readonly actorKind: 'account' | 'token' | 'this machine' | 'command line' | null
  readonly type: T
  readonly subject: string
  readonly body: z.infer<DefinitionOf<T>['body']>
  readonly corrects: number | null
}

/** A union takes the first of its schemas by itself; there is always one. */
const oneOf = <T>([first, ...others]: readonly ReturnType<typeof newSchema>[]): z.ZodType<T> =>
  z.discriminatedUnion('type', [first as ReturnType<typeof newSchema>, ...others]) as unknown as z.ZodType<T>

export const newEventSchema = oneOf<NewEvent>(
  EVENTS.filter(({ writers }) => writers !== 'nobody').map(newSchema),
)
export const storedEventSchema = oneOf<StoredEvent>(EVENTS.map(storedSchema) as never)
/** A row of the log as it is stored. */
export const logRowSchema = storedSchema(weldRecorded)
