/**
 * Every record that the page has, and the one place that knows its versions: which one a save replaces, and whether an
 * answer of the server is older than what is here.
 */
import { type ShallowRef, shallowRef } from 'vue'
import type { Stored } from '../api/client.ts'

interface Identified {
  readonly id: string
}
type Records = Readonly<Record<string, Identified>>
type Table<T> = ReadonlyMap<string, T>
/** One cell a kind: an edit of a job does not touch what is made of the shelf. */
export type Tables<R extends Records> = { readonly [P in keyof R]: ShallowRef<Table<R[P]>> }

interface Mark {
  /** The stored version; 0: the server has none. */
  readonly version: number
  /** The highest version ever heard of, that of a deletion too: an answer with no higher one is old. */
  readonly highest: number
  /** The moment at which that was heard. */
  readonly at: number
}

/** A moment in the order of requests and answers. */
export type Moment = number

const UNKNOWN: Mark = { version: 0, highest: 0, at: 0 }

/** @param paths the kinds of records that there are */
export function createRecords<R extends Records>(paths: readonly (keyof R & string)[]) {
  type Path = keyof R & string
  const tables = Object.fromEntries(
    paths.map((path) => [path, shallowRef(new Map())]),
  ) as unknown as Tables<R>
  const marks = new Map<string, Mark>()
  let moment: Moment = 0

  const keyOf = (path: Path, id: string): string => `${path}/${id}`
  const markOf = (path: Path, id: string): Mark => marks.get(keyOf(path, id)) ?? UNKNOWN
  const mark = (path: Path, id: string, version: number, highest: number): void => {
    moment += 1
    marks.set(keyOf(path, id), { version, highest: Math.max(highest, markOf(path, id).highest), at: moment })
  }

  function show<P extends Path>(path: P, id: string, record: R[P] | null): void {
    const changed = new Map(tables[path].value)
    if (record) changed.set(id, record)
    else changed.delete(id)
    tables[path].value = changed
  }

  /** The server has what is shown, or what an edit that is shown is laid over. 0: it was deleted there. */
  function stored(path: Path, id: string, version: number): void {
    // A deletion is a version of its own, the next one.
    const highest = version > 0 ? version : markOf(path, id).version + 1
    mark(path, id, version, highest)
  }

  /** Takes in what the server has, whatever is here. */
  function replace<P extends Path>(path: P, id: string, answer: Stored<R[P]> | null): void {
    show(path, id, answer?.record ?? null)
    stored(path, id, answer?.version ?? 0)
  }

  /** Whether a version that was heard of is not here yet. 0: that it was deleted. */
  const isNews = (path: Path, id: string, version: number): boolean =>
    version > 0 ? version > markOf(path, id).highest : markOf(path, id).version > 0

  return {
    tables,
    /** Shows an edit of this page; the server has not heard of it. */
    show,
    stored,
    versionOf: (path: Path, id: string): number => markOf(path, id).version,
    /** To be noted when a request is sent: its answer may come after a later one. */
    now: (): Moment => moment,

    replace,
    /** The same for many of a kind at once. */
    replaceAll<P extends Path>(path: P, answers: readonly Stored<R[P]>[]): void {
      const table = new Map(tables[path].value)
      for (const { version, record } of answers) {
        table.set(record.id, record)
        stored(path, record.id, version)
      }
      tables[path].value = table
    },

    isNews,
    /** Takes an answer in unless it is older than what is here. */
    take<P extends Path>(path: P, id: string, answer: Stored<R[P]> | null, asked: Moment): void {
      // What was stored after it was asked for is not gone.
      const isLate = answer === null && markOf(path, id).at > asked
      if (!isLate && isNews(path, id, answer?.version ?? 0)) replace(path, id, answer)
    },

    /**
     * Takes in a whole list: what is newer in it, and what is no longer in it.
     * @param isLeft says which records are left as they are: an edit of them is on its way
     */
    takeList<P extends Path>(
      path: P,
      list: readonly Stored<R[P]>[],
      asked: Moment,
      isLeft: (id: string) => boolean,
    ): void {
      const table = new Map(tables[path].value)
      const listed = new Set<string>()
      for (const { version, record } of list) {
        listed.add(record.id)
        if (isLeft(record.id) || version <= markOf(path, record.id).highest) continue
        table.set(record.id, record)
        stored(path, record.id, version)
      }
      for (const id of table.keys()) {
        // What was stored after the list was asked for may be newer than the list.
        if (listed.has(id) || isLeft(id) || markOf(path, id).at > asked) continue
        table.delete(id)
        stored(path, id, 0)
      }
      tables[path].value = table
    },

    /** Begins anew with what the server has. */
    reset<P extends Path>(path: P, list: readonly Stored<R[P]>[]): void {
      for (const key of [...marks.keys()]) if (key.startsWith(`${path}/`)) marks.delete(key)
      for (const { version, record } of list) stored(path, record.id, version)
      tables[path].value = new Map(list.map(({ record }) => [record.id, record]))
    },
  }
}
