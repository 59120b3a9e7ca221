/** The board by machine: what is shown of the best that each machine on its circuit does. */
import {
  type Assessment,
  cellText,
  isCandidate,
  type MachineCell,
  midSentence,
  OF_FILLER,
  PROCESSES,
  shelfIf,
  SMALL_SLOTS,
  slotText,
  type Station,
  stationsIf,
  type WhatIf,
} from '@brannik/core'
import { computed, type ComputedRef, type Ref } from 'vue'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { hasSameParts } from '../setups/sameParts.ts'
import type { BoardColumn, BoardModel, Shown } from './boardModel.ts'
import type { AnyCell } from './cellRows.ts'

type Way = NonNullable<MachineCell['way']>

export function useMachines(whatIf: Ref<WhatIf>) {
  const workspace = useWorkspace()
  const money = useMoney()
  const { print, spell } = usePrint()

  const stations: ComputedRef<readonly Station[]> = computed(() => {
    const { shop, shelf, setUps } = workspace
    return shop ? stationsIf(shelfIf(shelf, whatIf.value, shop), setUps, whatIf.value) : []
  })
  const byId = computed(() => new Map(stations.value.map((station) => [station.id, station])))

  function supplyWords({ circuit, powerSource }: Station): string {
    if (circuit)
      return `${circuit.name}${circuit.name.includes(`${circuit.voltageV}`) ? '' : `, ${circuit.voltageV} V ${circuit.breakerA} A`}`
    return powerSource.engine === null ? 'best circuit' : 'its own engine'
  }
  const priceWords = ({ powerSource }: Station): string => {
    if (!isCandidate(powerSource)) return ''
    return powerSource.price === null ? 'buy, no price' : `buy, ${money(powerSource.price)}`
  }

  const wireOf = ({ setUp }: Way) => (setUp.wireId === null ? null : workspace.get('wires', setUp.wireId))
  /** `MIG 0.035`, `TIG AC`. */
  function wayWords(way: Way): string {
    const process = PROCESSES[way.setUp.process]
    const wire = wireOf(way)
    const size = wire && process.electrode !== 'tungsten' ? print(wire.diameterMm, 'mm diameter') : ''
    return `${process.briefWord} ${size.replace(/ in$/, '')}`.trim()
  }
  const isOfMachine = ({ slot }: Way['toBuy'][number]): boolean => slot === 'powerSource'
  /** Beside the machine itself, which is in the head of the column. */
  const purchasesOf = (way: Way): Way['toBuy'] => way.toBuy.filter((one) => !isOfMachine(one))
  const priceOf = (parts: Way['toBuy']): string => {
    const sum = parts.reduce((total, { price }) => total + (price ?? 0), 0)
    return sum === 0 ? '' : money(Math.ceil(sum))
  }
  /** What a cell has room for: `buy gun, $295`. */
  function briefPurchase(way: Way): string {
    const parts = purchasesOf(way)
    const [first] = parts.filter(({ slot }) => !SMALL_SLOTS.has(slot))
    if (parts.length === 0) return ''
    const process = PROCESSES[way.setUp.process]
    const what = first ? slotText(workspace.speech, first.slot, process) : 'small parts'
    const price = priceOf(parts)
    return `buy ${midSentence(what)}${price === '' ? '' : `, ${price}`}`
  }
  /** `buy Dray spool gun $295`, `small parts $12`. */
  function purchaseWords(way: Way): string {
    const parts = purchasesOf(way)
    const large = parts.filter(({ slot }) => !SMALL_SLOTS.has(slot))
    const [first] = large
    if (parts.length === 0) return ''
    const what = first
      ? `buy ${first.name}${large.length > 1 ? ` and ${large.length - 1} more` : ''}`
      : `buy ${parts.length === 1 ? midSentence(parts[0]?.name ?? '') : `${parts.length} small parts`}`
    return `${what} ${priceOf(parts)}`.trim()
  }
  /** The recorded set-up with these parts; null where there is none. */
  const recorded = (way: Way) => workspace.setUps.find((one) => hasSameParts(one, way.setUp)) ?? null
  /** From what is on the machine now. */
  function changeWords({ takes }: MachineCell): string {
    if (!takes) return ''
    return takes.changeMin === 0 ? 'on it now' : `${Math.max(1, Math.round(takes.changeMin))} min change`
  }

  const columns = computed((): readonly BoardColumn[] =>
    stations.value.map((station) => ({
      id: station.id,
      name: station.powerSource.name,
      note: supplyWords(station),
      price: priceWords(station),
      isOwned: !isCandidate(station.powerSource),
      circuitId: station.circuit?.id ?? null,
      group: '',
    })),
  )

  function reasonOf(limit: Assessment | null): string {
    if (limit === null) return 'no process for it'
    if (OF_FILLER.has(limit.criterion)) return 'no filler listed'
    return spell(cellText(workspace.speech, { limit, spareA: null }))
  }
  function shown(cell: MachineCell, station: Station | undefined): Shown {
    const { way, verdict } = cell
    if (!way || !station)
      return { of: cell, tone: 'fails', head: reasonOf(cell.limit), way: '', first: '', isBought: false }
    const purchase = briefPurchase(way)
    const isLarge = purchasesOf(way).some(({ slot }) => !SMALL_SLOTS.has(slot))
    return {
      of: cell,
      tone: verdict,
      head: spell(cellText(workspace.speech, cell)),
      way: wayWords(way),
      first: purchase || changeWords(cell),
      isBought: isLarge,
    }
  }
  const model = computed((): BoardModel => ({
    columns: columns.value,
    shownOf: (cell: AnyCell, column) => shown(cell as MachineCell, byId.value.get(column.id)),
    reasonOf,
    isDoneOwned: (cell, { isOwned }) => {
      const { way } = cell as MachineCell
      return isOwned && way !== null && way.toBuy.every(({ slot }) => SMALL_SLOTS.has(slot))
    },
    isPlanned: ({ setUpId }, cell) => {
      const { way } = cell as MachineCell
      return setUpId !== null && way !== null && recorded(way)?.id === setUpId
    },
    processOf: (cell) => (cell as MachineCell).way?.setUp.process ?? null,
  }))
  return { stations, byId, model, wayWords, purchaseWords, purchasesOf, changeWords, recorded }
}
