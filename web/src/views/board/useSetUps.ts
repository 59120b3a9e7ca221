/** The board by set-up: set-ups as they are recorded, those of one process and metal side by side. */
import {
  type BoardCell,
  cellText,
  does,
  isEngineDriven,
  PROCESSES,
  type SetUp,
  summaryOf,
  toBuyOf,
} from '@brannik/core'
import { computed } from 'vue'
import { byName } from '../../byName.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { METAL_WORDS } from '../equipment/words.ts'
import type { BoardColumn, BoardModel, Cells } from './boardModel.ts'

export function useSetUps() {
  const workspace = useWorkspace()
  const money = useMoney()
  const { spell } = usePrint()

  /** A set-up that lost a part has no cells: it is named below the board. */
  const whole = computed(() => workspace.wholeSetUps)
  const broken = computed(() => workspace.setUps.filter((setUp) => !whole.value.includes(setUp)))
  const toBuy = computed(
    () => new Map(whole.value.map((setUp) => [setUp.id, toBuyOf(setUp, workspace.shelf)])),
  )

  function supply(setUp: SetUp): string {
    const source = setUp.powerSourceId === null ? null : workspace.get('power-sources', setUp.powerSourceId)
    if (source && isEngineDriven(source)) return 'its own engine'
    const circuit = setUp.circuitId === null ? null : workspace.get('circuits', setUp.circuitId)
    return circuit ? `${circuit.voltageV} V ${circuit.breakerA} A${circuit.phases === 3 ? ', 3~' : ''}` : '–'
  }
  function groupOf(setUp: SetUp): string {
    const wire = setUp.wireId === null ? null : workspace.get('wires', setUp.wireId)
    const metal = wire ? spell(METAL_WORDS[wire.metal] ?? wire.metal) : ''
    return `${PROCESSES[setUp.process].briefWord} ${metal}`.trim()
  }
  const priceWords = (setUp: SetUp): string => {
    const buy = toBuy.value.get(setUp.id)
    if (!buy) return ''
    return buy.price === null ? 'buy, no price' : `buy, ${money(buy.price)}`
  }
  const columns = computed((): readonly BoardColumn[] =>
    whole.value
      .map((setUp) => ({
        id: setUp.id,
        name: setUp.name,
        note: supply(setUp),
        price: priceWords(setUp),
        isOwned: !toBuy.value.get(setUp.id),
        circuitId: setUp.circuitId,
        group: groupOf(setUp),
      }))
      .toSorted(
        (a, b) => a.group.localeCompare(b.group) || Number(b.isOwned) - Number(a.isOwned) || byName(a, b),
      ),
  )
  const reasonOf: BoardModel['reasonOf'] = (limit) =>
    spell(cellText(workspace.speech, { limit, spareA: null }))
  const model = computed((): BoardModel => ({
    columns: columns.value,
    shownOf: (cell) => ({
      of: cell,
      tone: cell.verdict,
      head: spell(cellText(workspace.speech, cell)),
      way: '',
      first: '',
      isBought: false,
    }),
    reasonOf,
    isDoneOwned: ({ verdict }, { isOwned }) => isOwned && does(verdict),
    isPlanned: ({ setUpId }, cell) => setUpId === (cell as BoardCell).setUpId,
    processOf: (cell) => workspace.get('set-ups', (cell as BoardCell).setUpId)?.process ?? null,
  }))
  const summary = (cells: Cells, jobIds: readonly string[]) =>
    summaryOf(
      jobIds.flatMap((id) => cells.get(id) ?? []),
      whole.value,
      toBuy.value,
    )
  return { whole, broken, toBuy, supply, model, summary }
}
