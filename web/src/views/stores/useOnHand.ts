/** Everything that is counted: how much there is of it, loose and in cylinders and on spools, and where that is. */
import {
  type Cylinder,
  exposureH,
  expectedGauge,
  inStock,
  onHandOf,
  type Spool,
  stockId,
  type Vessel,
} from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { byName } from '../../byName.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useReading } from '../../stores/useReading.ts'

/** Something with a count of its own. */
export interface Counted {
  /** Of the count. */
  readonly id: string
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part' | 'cylinder' | 'spool'
  readonly itemId: string
  readonly name: string
  /** g, L or pieces; null where it is not counted. */
  readonly amount: number | null
  readonly text: string
  readonly keptAt: string
  readonly print: (amount: number) => string
  /** One full spool, cylinder or piece. */
  readonly packSize: number
  /** What its gauge should show; empty where there is none to read. */
  readonly gauge: string
}
export interface Container extends Counted {
  readonly kind: 'cylinder' | 'spool'
  readonly cylinder: Cylinder | null
  readonly spool: Spool | null
  /** Name of the machine that it is open on; empty where it is not open. */
  readonly openOn: string
  /** How long its electrodes may be out of the oven, h; null for what needs no oven. */
  readonly exposureH: number | null
}
export interface OnHand extends Counted {
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part'
  /** Loose and in containers; null where nothing of it is counted. */
  readonly total: number | null
  readonly totalText: string
  readonly containers: readonly Container[]
}

/** @returns what is read of a cylinder: its own figures, else those of its gas */
export const vesselOf = (gas: Vessel, cylinder: Cylinder | null): Vessel =>
  cylinder === null
    ? gas
    : { ...gas, waterL: cylinder.waterL, fullBar: cylinder.fullBar, tareG: cylinder.tareG }

const NOT_COUNTED = 'not counted'
const pieces = (amount: number): string => `${amount} ${amount === 1 ? 'piece' : 'pieces'}`

/** @returns wires, gases, tungstens and small parts that the shop owns, by kind and name */
export function useOnHand(): ComputedRef<readonly OnHand[]> {
  const workspace = useWorkspace()
  const reading = useReading()
  const { print } = usePrint()
  const [mass, volume] = [(amount: number) => print(amount, 'g'), (amount: number) => print(amount, 'L')]
  const KINDS = [
    { kind: 'wire', path: 'wires', say: mass },
    { kind: 'gas', path: 'gases', say: volume },
    { kind: 'tungsten', path: 'tungstens', say: pieces },
    { kind: 'part', path: 'parts', say: pieces },
  ] as const
  const counted = (kind: Counted['kind'], id: string, say: (amount: number) => string) => {
    const count = stockId(kind, id)
    const amount = inStock(workspace.shelf.stock, kind, id)
    return { id: count, itemId: id, amount, text: amount === null ? NOT_COUNTED : say(amount), print: say }
  }
  const machine = (id: string | null): string =>
    id === null ? '' : (workspace.get('power-sources', id)?.name ?? '')
  function gaugeText(vessel: Vessel, amount: number | null): string {
    if (amount === null || amount <= 0) return ''
    const gauge = expectedGauge(amount, vessel, reading.value)
    return gauge ? `${gauge.value.toLocaleString(workspace.notation.locale)} ${gauge.unit}` : ''
  }
  function cylindersOf(gasId: string): readonly Container[] {
    const gas = workspace.get('gases', gasId)
    return workspace
      .all('cylinders')
      .filter((one) => one.gasId === gasId && one.returnedOn === null)
      .map((cylinder) => {
        const own = counted('cylinder', cylinder.id, volume)
        return {
          ...own,
          kind: 'cylinder',
          name: cylinder.name,
          keptAt: cylinder.keptAt ?? '',
          packSize: gas?.fullL ?? 1,
          cylinder,
          spool: null,
          openOn: machine(cylinder.openOnId),
          exposureH: null,
          gauge: gas ? gaugeText(vesselOf(gas, cylinder), own.amount) : '',
        }
      })
  }
  const spoolsOf = (wireId: string): readonly Container[] => {
    const wire = workspace.get('wires', wireId)
    return workspace
      .all('spools')
      .filter((one) => one.wireId === wireId)
      .map((spool) => ({
        ...counted('spool', spool.id, mass),
        kind: 'spool',
        name: spool.name,
        keptAt: spool.keptAt ?? '',
        packSize: wire?.packageG ?? 1,
        cylinder: null,
        spool,
        openOn: machine(spool.openOnId),
        exposureH: wire ? exposureH(wire) : null,
        gauge: '',
      }))
  }
  return computed(() => {
    const all = onHandOf(workspace.shelf)
    return KINDS.flatMap(({ kind, path, say }) =>
      workspace
        .all(path)
        .map((record): OnHand => {
          const total = inStock(all, kind, record.id)
          return {
            ...counted(kind, record.id, say),
            kind,
            name: record.name,
            keptAt: 'keptAt' in record ? (record.keptAt ?? '') : '',
            packSize: 'packageG' in record ? record.packageG : 'fullL' in record ? record.fullL : 1,
            gauge: '',
            total,
            totalText: total === null ? NOT_COUNTED : say(total),
            containers: kind === 'gas' ? cylindersOf(record.id) : kind === 'wire' ? spoolsOf(record.id) : [],
          }
        })
        .toSorted(byName),
    )
  })
}
