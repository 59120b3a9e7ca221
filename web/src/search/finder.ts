/** Finds by words, beginnings of words and words with a slip, the best first. The work is MiniSearch’s. */
import MiniSearch, { type Query } from 'minisearch'
import { meaningOf, searchable } from './search.ts'

export interface Findable {
  readonly title: string
  readonly group: string
  /** Other words for it. */
  readonly keywords?: string
  /** What comes first among equals: 1 where nothing is said. */
  readonly weight?: number
}

const BREAK = /[\s/–-]+/
/** A class is also found by its figures: ER5356 by 5356, E71T-11 by 71t. */
const CLASS_FIGURES = /^[a-z]+(\d.*)$/
const tokensOf = (text: string): string[] =>
  searchable(text)
    .split(BREAK)
    .filter((token) => token !== '')
const withFigures = (text: string): string[] =>
  tokensOf(text).flatMap((token) => {
    const figures = CLASS_FIGURES.exec(token)?.[1]
    return figures === undefined ? [token] : [token, figures]
  })

/** Letters that may be wrong: two letters changed over count as two. Short words have too many neighbours. */
const slipsIn = ({ length }: string): number => (length >= 6 ? 2 : length >= 4 ? 1 : 0)
/** A wrong figure is another thing. */
const slipOf = (term: string): number | boolean => /^[a-z]+$/.test(term) && slipsIn(term)

/**
 * @param items in the order in which equals are shown
 * @returns a search over them, best first
 */
export function finder<T extends Findable>(items: readonly T[]): (search: string) => readonly T[] {
  const index = new MiniSearch<{ id: number } & Omit<Findable, 'weight'>>({
    fields: ['title', 'group', 'keywords'],
    tokenize: withFigures,
    processTerm: (term) => term,
  })
  index.addAll(items.map(({ title, group, keywords = '' }, id) => ({ id, title, group, keywords })))
  const all = (phrase: string, boost: number): Query => ({
    queries: [phrase],
    combineWith: 'AND',
    tokenize: tokensOf,
    prefix: true,
    fuzzy: slipOf,
    boost: { title: 3 * boost, group: boost, keywords: boost },
  })
  return (search) => {
    const queries = meaningOf(search).map(({ typed, also }): Query => ({
      combineWith: 'OR' as const,
      queries: [all(typed, 1), ...also.map((one) => all(one, 0.3))],
    }))
    return index
      .search({ combineWith: 'AND', queries }, { boostDocument: (id: number) => items[id]?.weight ?? 1 })
      .flatMap(({ id }) => items[id as number] ?? [])
  }
}
