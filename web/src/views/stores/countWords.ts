/** Names and amounts of what is counted, whatever kind it is. */
import { factsOf, stockedThing } from '@brannik/core'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { stockWords } from '../../files/stockWords.ts'

export function useCountWords() {
  const workspace = useWorkspace()
  return {
    /** The name of a counted item; its id where it is gone. */
    nameOf: (countId: string): string => {
      const { kind, id } = stockedThing(countId)
      const record = workspace.get(factsOf(kind).path as Path, id)
      return record && 'name' in record ? record.name : id
    },
    /** An amount in the unit of its kind. */
    say: (countId: string, amount: number): string =>
      stockWords(factsOf(stockedThing(countId).kind).path, amount, workspace.notation) ?? String(amount),
  }
}
