/**
 * What was typed and is not stored yet, kept in the browser so that neither a reload nor a dead server loses it. Each
 * tab has its own: two tabs on one record keep both edits. What a tab that is gone left behind, the next one takes over.
 * Each is of one account and one shop: nothing is sent as somebody else, or to another shop than it was typed in.
 */
import { factsAt } from '@brannik/core'
import { newKey } from '../api/client.ts'

export interface Draft<T> {
  /** null: it is to be deleted. */
  readonly record: T | null
  /** Version that the edit began from; 0 for a record that the server has never had. */
  readonly version: number
  /** What was sent and not answered: the server may have it or not. Absent where nothing was. */
  readonly unanswered?: T | null
  /** The key that it was sent with: sent again with it, it is not done twice. */
  readonly key?: string
  /** When it was typed, ms. */
  readonly at?: number
  /** Version of the schema that it is typed in; 1 where none is written. */
  readonly schemaVersion?: number
}

const PREFIX = 'brannik.draft.'
const TAB = 'brannik.tab'
/** Where the browser cannot say which tabs are open: a draft that is older is of one that is gone. */
const LONG_MS = 600_000

/** The browser's storage; what it does not take, full or forbidden, lives as long as the page. */
const kept = {
  unkept: new Map<string, string>(),
  names: (): string[] => [...new Set([...kept.unkept.keys(), ...Object.keys(localStorage)])],
  read: (name: string): string | null => kept.unkept.get(name) ?? localStorage.getItem(name),
  write(name: string, text: string): void {
    try {
      localStorage.setItem(name, text)
      kept.unkept.delete(name)
    } catch {
      kept.unkept.set(name, text)
    }
  },
  drop(name: string): void {
    kept.unkept.delete(name)
    localStorage.removeItem(name)
  },
}

let tab = ''
let closed: ReadonlySet<string> | null = null
const lockOf = (id: string): string => `brannik.tab.${id}`

/**
 * Gives this tab its name and finds out which others are open. A tab that was copied from another gets a name of its own.
 */
export async function claimTab(): Promise<void> {
  if (tab !== '') {
    await lookForClosed()
    return
  }
  tab = sessionStorage.getItem(TAB) ?? newKey()
  const locks = navigator.locks as LockManager | undefined
  if (locks) {
    const hold = (id: string): Promise<boolean> =>
      new Promise((resolve) => {
        void locks.request(lockOf(id), { ifAvailable: true }, (lock) => {
          resolve(lock !== null)
          // Held as long as the page is there.
          return lock === null ? undefined : new Promise(() => undefined)
        })
      })
    if (!(await hold(tab))) {
      tab = newKey()
      await hold(tab)
    }
  }
  sessionStorage.setItem(TAB, tab)
  await lookForClosed()
}
async function lookForClosed(): Promise<void> {
  const locks = navigator.locks as LockManager | undefined
  if (!locks) return
  const open = new Set((await locks.query()).held?.map(({ name }) => name) ?? [])
  closed = new Set(tabs().filter((id) => !open.has(lockOf(id))))
}

/** For whom the page is open, and with which shop. */
export interface Owner {
  readonly epoch: string
  readonly account: string
}
let owner: Owner = { epoch: '', account: '' }
/** From here on drafts are kept for them, and theirs alone are read. */
export const draftsOf = (now: Owner): void => void (owner = now)

/** `brannik.draft.<tab>~<account>~<epoch>.<path>/<id>`; an older version knew neither account nor shop, or no tab. */
const nameOf = (id: string, key: string): string => `${PREFIX}${id}~${owner.account}~${owner.epoch}.${key}`
interface StoredDraft extends Owner {
  readonly name: string
  readonly id: string
  readonly key: string
}
function readName(name: string): StoredDraft | null {
  if (!name.startsWith(PREFIX)) return null
  const rest = name.slice(PREFIX.length)
  const dot = rest.indexOf('.')
  const [id = '', account = owner.account, epoch = owner.epoch] = rest.slice(0, Math.max(0, dot)).split('~')
  return { name, id, account, epoch, key: rest.slice(dot + 1) }
}
const storedDrafts = (): readonly StoredDraft[] => kept.names().flatMap((name) => readName(name) ?? [])
const tabs = (): string[] => [...new Set(storedDrafts().map(({ id }) => id))]
const mine = (): readonly StoredDraft[] => storedDrafts().filter((one) => isOwn(one) && isOfThisShop(one))
const isOwn = ({ account }: Owner): boolean => account === owner.account
const isOfThisShop = ({ epoch }: Owner): boolean => epoch === owner.epoch

/** What a draft is of, by its key, `<path>/<id>`. */
const kindOf = (key: string) => factsAt(key.slice(0, key.indexOf('/')))

export function keepDraft<T>(key: string, draft: Draft<T>): void {
  const schemaVersion = kindOf(key)?.version ?? 1
  kept.write(nameOf(tab, key), JSON.stringify({ ...draft, at: Date.now(), schemaVersion }))
}

export function dropDraft(key: string): void {
  kept.drop(nameOf(tab, key))
}

function read<T>(name: string): Draft<T> | null {
  const text = kept.read(name)
  if (text === null) return null
  try {
    return JSON.parse(text) as Draft<T>
  } catch {
    return null
  }
}

/** @returns null where there is none, or where it cannot be read */
export const readDraft = <T>(key: string): Draft<T> | null => read(nameOf(tab, key))

/** Typed in another version of the schema than this page's. A draft of a newer one is sent as it is. */
const isOlder = ({ name, key }: StoredDraft): boolean => {
  const kind = kindOf(key)
  return kind !== null && (read(name)?.schemaVersion ?? 1) < kind.version
}

/**
 * Carries up what an older page typed, in this tab and in those that are gone: once, before any of it is read. Only a
 * browser that holds such a draft fetches the steps.
 */
export async function carryUpDrafts(): Promise<void> {
  const older = mine().filter((one) => (one.id === tab || isLeft(one)) && isOlder(one))
  if (older.length === 0) return
  const { upcastRecord } = await import('./upcast.ts')
  for (const { name, key } of older) {
    const draft = read(name)
    const kind = kindOf(key)
    if (!draft || !kind) continue
    const { schemaVersion = 1, record, unanswered } = draft
    const upcast = (typed: unknown): unknown => {
      const done = typed === null ? null : upcastRecord(kind.kind, schemaVersion, typed)
      return done?.ok ? done.value : typed
    }
    const carried = {
      ...draft,
      record: upcast(record),
      ...(unanswered === undefined ? {} : { unanswered: upcast(unanswered) }),
      schemaVersion: kind.version,
    }
    kept.write(name, JSON.stringify(carried))
  }
}

export const draftKeys = (): string[] => mine().flatMap(({ id, key }) => (id === tab ? [key] : []))

/** Of a tab that is gone. */
const isLeft = ({ name, id }: StoredDraft): boolean => {
  if (id === tab) return false
  if (id === '' || closed?.has(id)) return true
  return closed === null && Date.now() - (read(name)?.at ?? 0) > LONG_MS
}

/**
 * Makes drafts of tabs that are gone this tab's own, the oldest first; one for each record, so that nothing lies over
 * something else. The next one is taken when that one is settled. One that an older page typed since waits for the next
 * page that opens.
 * @param only one record; all where it is left out
 * @returns the keys of what was taken over
 */
export function adoptDrafts(only?: string): string[] {
  const own = new Set(draftKeys())
  const left = mine()
    .filter((one) => isLeft(one) && !isOlder(one) && (only === undefined || one.key === only))
    .map((one) => ({ ...one, at: read(one.name)?.at ?? 0 }))
    .sort((a, b) => a.at - b.at)
  return left.flatMap(({ name, key }) => {
    if (own.has(key)) return []
    own.add(key)
    const text = kept.read(name)
    kept.drop(name)
    if (text === null) return []
    kept.write(nameOf(tab, key), text)
    return [key]
  })
}

/** Typed in another shop than the server holds now: looked at and taken out as a file, never sent. */
export interface AsideDraft {
  readonly epoch: string
  /** `<path>/<id>`. */
  readonly key: string
  readonly draft: Draft<unknown>
}
const ASIDE = 'brannik.aside.'

/** Takes this tab's drafts of another shop, and those of tabs that are gone, out of the way of this one's. */
export function setAsideDrafts(): void {
  const others = storedDrafts().filter((one) => !isOfThisShop(one) && (one.id === tab || isLeft(one)))
  for (const { name } of others) {
    const text = kept.read(name)
    if (text !== null) kept.write(ASIDE + name.slice(PREFIX.length), text)
    kept.drop(name)
  }
}
const asideNames = (): readonly StoredDraft[] =>
  kept
    .names()
    .filter((name) => name.startsWith(ASIDE))
    .flatMap((name) => readName(PREFIX + name.slice(ASIDE.length)) ?? [])
    .filter(isOwn)
const asideName = ({ name }: StoredDraft): string => ASIDE + name.slice(PREFIX.length)
/** Those of whom the page is open for. */
export const asideDrafts = (): readonly AsideDraft[] =>
  asideNames().flatMap((one) => {
    const draft = read<unknown>(asideName(one))
    return draft ? [{ epoch: one.epoch, key: one.key, draft }] : []
  })
export function dropAsideDrafts(): void {
  for (const one of asideNames()) kept.drop(asideName(one))
}
