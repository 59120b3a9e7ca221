/** Feeding aluminium: what converting the ordinary gun costs, against a spool gun or push-pull, and what each cannot do. */
import { isInShop, type SetUp } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import { type Assembly, metalsOf } from './assembly.ts'
import { fitOut } from './fitOut.ts'
import type { RuleGroup } from './rule.ts'
import { byWorst, judgeAll, shortSlots } from './judge.ts'
import { offersFor } from './offers.ts'
import { type Slot, SLOT_KEYS, type SlotItems, slotWords, SMALL_SLOTS } from './slots.ts'

export interface Way {
  readonly id: string
  readonly title: string
  /** What has to be bought, with its price; null where the shelf gives none. */
  readonly buys: readonly { readonly name: string; readonly price: number | null }[]
  /** Sum of what is known, in the shop's currency. */
  readonly cost: number
  /** Whether nothing is lacking and every price is known. */
  readonly isWhole: boolean
  /** What it needs and the shelf does not have. */
  readonly lacks: readonly string[]
  /** What it still cannot do, or does badly. */
  readonly cannot: readonly string[]
  readonly change: Partial<SetUp>
}

/** Gas and polarity are the same by every way. */
const PATH_GROUPS: readonly RuleGroup[] = ['wire-path', 'torch']
const CONVERTED: readonly Slot[] = ['roll', 'liner', 'tip']

interface Priced {
  readonly name: string
  readonly price: number | null
}
const priceOf = (item: SlotItems[Slot]): Priced => ({
  name: item.name,
  price: 'price' in item ? item.price : null,
})

function wayOf(
  id: string,
  title: string,
  assembly: Assembly,
  slots: readonly Slot[],
  lacks: readonly string[],
  says: readonly string[],
  change: Partial<SetUp>,
): Way {
  const buys = slots.flatMap((slot) => {
    const item = assembly[slot]
    return item === null || isInShop(item) ? [] : [priceOf(item)]
  })
  const broken = byWorst(judgeAll(assembly)).filter(
    ({ rule, judgement }) => judgement.verdict !== 'fits' && PATH_GROUPS.includes(rule.group),
  )
  return {
    id,
    title,
    buys,
    cost: buys.reduce((sum, { price }) => sum + (price ?? 0), 0),
    isWhole: lacks.length === 0 && buys.every(({ price }) => price !== null),
    lacks,
    cannot: [...broken.map(({ judgement }) => judgement.says), ...says],
    change,
  }
}

/** The gun that is there, with U rolls, a slippery liner and its tip. */
function converted(assembly: Assembly, shelf: Shelf): Way {
  const trial: Record<string, unknown> = { ...assembly }
  const change: Partial<SetUp> = {}
  const lacks: string[] = []
  for (const slot of CONVERTED) {
    const best = offersFor(slot, trial as unknown as Assembly, shelf).find(
      ({ verdict }) => verdict !== 'short',
    )
    if (best) {
      trial[slot] = best.item
      Object.assign(change, { [SLOT_KEYS[slot]]: best.item.id })
    } else lacks.push(`${slotWords(slot, assembly.process)} for this wire`)
  }
  return wayOf(
    'convert',
    `Convert ${assembly.gun?.name ?? 'the gun'}`,
    trial as unknown as Assembly,
    CONVERTED.filter((slot) => trial[slot] !== assembly[slot]),
    lacks,
    ['Rolls, liner and tip are changed back for steel each time'],
    change,
  )
}

function bought(assembly: Assembly, shelf: Shelf, drive: 'spool' | 'push-pull'): Way[] {
  return shelf.guns
    .filter((gun) => gun.drive === drive)
    .map((gun) => {
      const [tip] = offersFor('tip', { ...assembly, gun }, shelf)
      const withTip =
        tip && tip.verdict !== 'short' ? { ...assembly, gun, tip: tip.item } : { ...assembly, gun }
      const { assembly: fitted, changed, change } = fitOut(withTip, shelf)
      // A part that does not go on this gun, and none on the shelf that does: its place stays empty.
      const lacking = shortSlots(fitted).filter((slot) => SMALL_SLOTS.has(slot))
      const emptied = Object.fromEntries(lacking.map((slot) => [slot, null]))
      const says =
        drive === 'spool'
          ? ['Small spools only, changed often, and the weight hangs on the wrist']
          : ['Dear, and it wants a feeder made for it']
      return wayOf(
        gun.id,
        gun.name,
        { ...fitted, ...emptied },
        [...new Set<Slot>(['gun', 'tip', ...changed])],
        lacking.map((slot) => `${slotWords(slot, assembly.process)} for this gun`),
        says,
        {
          gunId: gun.id,
          tipId: withTip.tip?.id ?? null,
          ...change,
          ...Object.fromEntries(lacking.map((slot) => [SLOT_KEYS[slot], null])),
        },
      )
    })
}

/** @returns the ways of feeding the aluminium wire of this set-up; empty where it has none, or no ordinary gun */
export function aluminiumWays(assembly: Assembly, shelf: Shelf): readonly Way[] {
  const { process, gun, wire } = assembly
  if (!process.feedsWire || !gun || !wire || wire.metal !== 'aluminium' || gun.drive !== 'none') return []
  if (!metalsOf(assembly).includes('aluminium')) return []
  return [
    converted(assembly, shelf),
    ...bought(assembly, shelf, 'spool'),
    ...bought(assembly, shelf, 'push-pull'),
  ]
}
