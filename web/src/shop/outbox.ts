/**
 * What happened at a machine, on its way to the server. It counts at once; it is sent when the server answers, under a key
 * of its own, so that it is stored once however often it is sent. What is not sent waits in the browser, over a reload too.
 */
import type { NewEvent, RecordedType } from '@brannik/core'
import { useEventListener, useIntervalFn, useLocalStorage } from '@vueuse/core'
import { type ComputedRef, computed, shallowRef } from 'vue'
import { newKey, ownerNow, RequestFailed, tellEvent } from '../api/client.ts'
import { useNotice } from '../stores/notice.ts'

/** An event of any type that somebody records. */
export type AnyNewEvent = { readonly [T in RecordedType]: NewEvent<T> }[RecordedType]

export interface Waiting {
  readonly key: string
  readonly event: AnyNewEvent
  /** For which shop and account it was recorded. */
  readonly of: string
}

const AGAIN_MS = 5000

/** Stored by the server, and not yet among what was asked for: nothing disappears between the two. */
const stored = shallowRef<readonly Waiting[]>([])
const waiting = useLocalStorage<readonly Waiting[]>('brannik.outbox', [])
/** While something is on its way: until all that it can send is sent. */
let sending: Promise<void> | null = null

/** Where another try makes no difference it is said why. */
const isPassing = (error: unknown): boolean =>
  !(error instanceof RequestFailed) || error.isPassing || error.status === 401

const ownWaiting = (): readonly Waiting[] => waiting.value.filter(({ of }) => of === ownerNow())
const oldest = (): Waiting | undefined => ownWaiting()[0]

/** Sends what waits, the oldest first, and what comes meanwhile; stops at the first that the server does not take now. */
async function sendAll(refused: (why: string) => void): Promise<void> {
  try {
    for (let one = oldest(); one !== undefined; one = oldest()) {
      const { event, key: sentKey } = one
      try {
        await tellEvent(event, sentKey)
        stored.value = [...stored.value, one]
      } catch (error) {
        if (isPassing(error)) return
        refused(error instanceof Error ? error.message : String(error))
      }
      waiting.value = waiting.value.filter(({ key }) => key !== sentKey)
    }
  } finally {
    sending = null
  }
}
/** Who asks while something is on its way waits for that. */
async function send(refused: (why: string) => void): Promise<void> {
  if (oldest() === undefined) return
  sending ??= sendAll(refused)
  await sending
}

export interface Outbox {
  /** Records something; it is sent when it can be. */
  readonly record: (event: AnyNewEvent) => void
  /** What of a subject the server does not have yet. */
  readonly unsent: (subject: string) => readonly Waiting[]
  /** What of a subject was recorded on this page, sent or not. */
  readonly own: (subject: string) => readonly Waiting[]
  /** Whatever was recorded on this page, sent or not. */
  readonly all: ComputedRef<readonly Waiting[]>
  /** How many wait, of all subjects. */
  readonly waitingCount: ComputedRef<number>
  /** Tries what waits now. @returns how many the server still does not have */
  readonly sendNow: () => Promise<number>
}

/** @param sent called after each try */
export function useOutbox(sent: () => void = () => undefined): Outbox {
  const notice = useNotice()
  const sendNow = async (): Promise<number> => {
    await send((why) => notice.refuse(`Not recorded: ${why}`))
    sent()
    return ownWaiting().length
  }
  const trySending = (): void => void sendNow()
  // At once too: a page that is loaded anew may have what the one before could not send any more.
  useIntervalFn(
    () => {
      if (waiting.value.length > 0) trySending()
    },
    AGAIN_MS,
    { immediateCallback: true },
  )
  useEventListener('online', trySending)
  const unsent = (subject: string): readonly Waiting[] =>
    waiting.value.filter(({ event }) => event.subject === subject)
  return {
    record(event) {
      waiting.value = [...waiting.value, { key: newKey(), event, of: ownerNow() }]
      trySending()
    },
    unsent,
    own: (subject) => [...stored.value.filter(({ event }) => event.subject === subject), ...unsent(subject)],
    all: computed(() => [...stored.value, ...waiting.value]),
    waitingCount: computed(() => waiting.value.length),
    sendNow,
  }
}
