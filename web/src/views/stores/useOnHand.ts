/** Everything that is counted, or that planned jobs need: how much there is, and where it hangs. */
import { stockId } from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'

export interface OnHand {
  /** Of the count. */
  readonly id: string
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part'
  readonly itemId: string
  readonly name: string
  /** g, L or pieces; null where it is not counted. */
  readonly amount: number | null
  readonly text: string
  readonly keptAt: string
  readonly print: (amount: number) => string
}

/** @returns wires, gases, tungstens and small parts that the shop owns, by kind and name */
export function useOnHand(): ComputedRef<readonly OnHand[]> {
  const workspace = useWorkspace()
  const { print } = usePrint()
  const pieces = (amount: number): string => `${amount} ${amount === 1 ? 'piece' : 'pieces'}`
  const KINDS = [
    { kind: 'wire', path: 'wires', say: (amount: number) => print(amount, 'g') },
    { kind: 'gas', path: 'gases', say: (amount: number) => print(amount, 'L') },
    { kind: 'tungsten', path: 'tungstens', say: pieces },
    { kind: 'part', path: 'parts', say: pieces },
  ] as const
  return computed(() =>
    KINDS.flatMap(({ kind, path, say }) =>
      workspace
        .all(path)
        .map((record): OnHand => {
          const amount = workspace.amountOf(path, record.id)
          return {
            id: stockId(kind, record.id),
            kind,
            itemId: record.id,
            name: record.name,
            amount,
            text: amount === null ? 'not counted' : say(amount),
            keptAt: 'keptAt' in record ? (record.keptAt ?? '') : '',
            print: say,
          }
        })
        .toSorted((a, b) => a.name.localeCompare(b.name)),
    ),
  )
}
