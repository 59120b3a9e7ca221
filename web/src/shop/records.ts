/**
 * Every record that the page has, and the one place that knows its versions: which one a save replaces, and whether an
 * answer of the server is older than what is here.
 */
import { type ShallowRef, shallowRef } from 'vue'
import type { Stored } from '../api/client.ts'

interface Identified {
  readonly id: string
}
type Table<T> = ReadonlyMap<string, T>
/** One cell a kind: an edit of a job does not recompute what depends on equipment. */
export type Tables<R> = { readonly [P in keyof R]: ShallowRef<Table<R[P]>> }

interface Mark {
  /** The stored version; 0: the server has none. */
  readonly version: number
  /** The version of what is shown, where that is a deletion its own: an answer with no higher one is old. */
  readonly highest: number
  /** The moment at which that was heard. */
  readonly at: number
}

/** A moment in the order of requests and answers. */
export type Moment = number

const UNKNOWN: Mark = { version: 0, highest: 0, at: 0 }

/** @param paths the kinds of records that there are */
export function createRecords<R extends { readonly [P in keyof R]: Identified }>(
  paths: readonly (keyof R & string)[],
) {
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
    marks.set(keyOf(path, id), { version, highest, at: moment })
  }

  function show<P extends Path>(path: P, id: string, record: R[P] | null): void {
    const changed = new Map(tables[path].value)
    if (record) changed.set(id, record)
    else changed.delete(id)
    tables[path].value = changed
  }

  /** The server has what is shown, or what an edit that is shown is laid over. 0: it was deleted there. */
  function stored(path: Path, id: string, version: number): void {
    const { version: before, highest } = markOf(path, id)
    // A deletion is a version of its own, the next one; what is not there already has none.
    mark(path, id, version, version > 0 ? version : before > 0 ? before + 1 : highest)
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

    /**
     * Gives up a record, made here or deleted; whatever the server has under its name is news again.
     * @returns whether it has one
     */
    drop(path: Path, id: string): boolean {
      const { version, highest } = markOf(path, id)
      if (version === 0) return false
      mark(path, id, 0, highest - 1)
      return true
    },

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
    /** It is deleted: an answer that was asked for before is old. */
    hearGone(path: Path, id: string): void {
      const { version, highest } = markOf(path, id)
      mark(path, id, version, highest)
    },
    /**
     * Takes an answer in unless it is older than what is here.
     * @returns false where it does not say: something was heard of the record since it was asked for
     */
    take<P extends Path>(path: P, id: string, answer: Stored<R[P]> | null, asked: Moment): boolean {
      const isNew = isNews(path, id, answer?.version ?? 0)
      if (isNew && markOf(path, id).at > asked) return false
      if (isNew) replace(path, id, answer)
      return true
    },

    /**
     * Takes in a whole list: what is newer in it, and what is no longer in it.
     * @param isLeft says which records are left as they are: an edit of them is on its way
     * @returns ids of which it does not say: something was heard of them since it was asked for
     */
    takeList<P extends Path>(
      path: P,
      list: readonly Stored<R[P]>[],
      asked: Moment,
      isLeft: (id: string) => boolean,
    ): readonly string[] {
      const table = new Map(tables[path].value)
      const listed = new Set<string>()
      const doubtful: string[] = []
      for (const { version, record } of list) {
        listed.add(record.id)
        const { highest, at } = markOf(path, record.id)
        if (isLeft(record.id) || version <= highest) continue
        if (at > asked) {
          doubtful.push(record.id)
          continue
        }
        table.set(record.id, record)
        stored(path, record.id, version)
      }
      for (const id of table.keys()) {
        if (listed.has(id) || isLeft(id)) continue
        if (markOf(path, id).at > asked) {
          doubtful.push(id)
          continue
        }
        table.delete(id)
        stored(path, id, 0)
      }
      tables[path].value = table
      return doubtful
    },

    /** Begins anew with what the server has. */
    reset<P extends Path>(path: P, list: readonly Stored<R[P]>[]): void {
      for (const key of [...marks.keys()]) if (key.startsWith(`${path}/`)) marks.delete(key)
      for (const { version, record } of list) stored(path, record.id, version)
      tables[path].value = new Map(list.map(({ record }) => [record.id, record]))
    },
  }
}
