/** Prices asked for, orders placed, sent and received. */
import {
  daysAfter,
  type Gas,
  type Order,
  type OrderLine,
  orderOf,
  stockedThing,
  type ToOrder,
  type Tungsten,
  type Wire,
} from '@brannik/core'
import { ref } from 'vue'
import { type AskedItem, askPrices, type PricedItem, sendOrder } from '../../api/supplier.ts'
import { dayHere } from '../../components/dates.ts'
import { reasonOf } from '../../reason.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { idFor } from '../jobs/idFor.ts'

export function useOrdering() {
  const workspace = useWorkspace()
  const notice = useNotice()
  const outbox = useOutbox()
  const isAsking = ref(false)
  /** What the supplier said last, in words; empty before. */
  const said = ref('')

  const askedOf = (countId: string): AskedItem | null => {
    const { kind, id } = stockedThing(countId)
    const of = (classification: string, diameterMm: number | null, packSize: number): AskedItem => ({
      item: countId,
      kind: kind as AskedItem['kind'],
      classification,
      diameterMm,
      packSize,
    })
    const wire: Wire | null = kind === 'wire' ? workspace.get('wires', id) : null
    const gas: Gas | null = kind === 'gas' ? workspace.get('gases', id) : null
    const tungsten: Tungsten | null = kind === 'tungsten' ? workspace.get('tungstens', id) : null
    if (wire) return of(wire.classification, wire.diameterMm, wire.packageG)
    if (gas) return of(gas.designation, null, gas.fullL)
    return tungsten ? of(tungsten.type, tungsten.diameterMm, 1) : null
  }

  /** A price is kept as an offer of that supplier; the next one takes its place. */
  function keep(
    { item, price, currency, leadDays, breakFrom, breakPrice }: PricedItem,
    supplierId: string,
    name: string,
  ): void {
    const { kind, id: itemId } = stockedThing(item)
    const id = `${supplierId}-${itemId}`.slice(0, 64)
    const named = { wireId: null, gasId: null, tungstenId: null, partId: null, [`${kind}Id`]: itemId }
    workspace.edit(
      'offers',
      id,
      {
        id,
        name,
        supplierId,
        ...named,
        price,
        currency,
        pricedOn: dayHere(new Date()),
        leadDays,
        breakFrom,
        breakPrice,
      },
      `price of ${name}`,
    )
  }

  async function ask(
    items: readonly { readonly id: string; readonly name: string }[],
    supplierId: string,
  ): Promise<void> {
    const supplier = workspace.get('suppliers', supplierId)
    const asked = items.flatMap(({ id }) => askedOf(id) ?? [])
    if (!supplier || asked.length === 0) return
    isAsking.value = true
    said.value = `Asking ${supplier.name}…`
    try {
      const { items: priced, refused, isStandIn } = await askPrices(asked, supplier.currency)
      const nameOf = (item: string): string => items.find(({ id }) => id === item)?.name ?? item
      for (const one of priced) keep(one, supplier.id, nameOf(one.item))
      const outOfStock = priced.filter(({ inStock }) => inStock === 0).map(({ item }) => nameOf(item))
      said.value = [
        `${supplier.name}: ${priced.length} ${priced.length === 1 ? 'price' : 'prices'} of today.`,
        isStandIn ? 'Simulated supplier.' : '',
        outOfStock.length > 0 ? `Out of stock there: ${outOfStock.join(', ')}.` : '',
        ...refused.map(({ item, why }) => `Not believed: ${nameOf(item)}, ${why}.`),
      ]
        .filter(Boolean)
        .join(' ')
    } catch (error) {
      said.value = `No prices: ${reasonOf(error)} The prices on record stay.`
    } finally {
      isAsking.value = false
    }
  }

  async function send(order: Order): Promise<void> {
    isAsking.value = true
    try {
      const taken = await sendOrder(
        order.id,
        order.lines.map(({ item, packs }) => ({ item, packs })),
      )
      const now = workspace.get('orders', order.id) ?? order
      workspace.edit(
        'orders',
        order.id,
        {
          ...now,
          confirmation: taken.number,
          expectedOn: daysAfter(now.orderedOn ?? dayHere(new Date()), taken.leadDays),
        },
        `confirmation of ${order.name}`,
      )
      said.value = `${order.supplierName} confirmed ${order.name} as ${taken.number}.`
    } catch (error) {
      said.value = `${order.name} is not confirmed: ${reasonOf(error)} Send it again: it counts once.`
    } finally {
      isAsking.value = false
    }
  }

  async function place(list: ToOrder): Promise<void> {
    const all = workspace.all('orders')
    const name = `Order ${all.length + 1}`
    const order = orderOf(list, { id: idFor(name, all), name, today: dayHere(new Date()) })
    if (!workspace.edit('orders', order.id, order, name)) return
    notice.show(`${name} is placed with ${order.supplierName}`, true)
    if (list.supplier?.isAsked) await send(order)
  }

  /** Packages that came: they are in the stores, and the order knows. */
  function receive(order: Order, line: OrderLine, packs: number): void {
    const count = workspace.get('stock', line.item)
    const amount = packs * line.packSize
    const lines = order.lines.map((one) =>
      one.item === line.item ? { ...one, receivedPacks: one.receivedPacks + packs } : one,
    )
    const isWhole = lines.every((one) => one.receivedPacks >= one.packs)
    const next: Order = { ...order, lines, state: isWhole ? 'received' : order.state }
    if (!workspace.edit('orders', order.id, next, `receipt of ${line.name}`)) return
    if (count && count.amount !== null)
      outbox.record({
        type: 'stock-movement',
        subject: line.item,
        body: { change: amount, reason: 'received', note: order.name },
      })
    else workspace.edit('stock', line.item, { id: line.item, amount }, `count of ${line.name}`)
    notice.show(`${packs} × ${line.name} received`)
  }
  const cancel = (order: Order): void => {
    if (workspace.edit('orders', order.id, { ...order, state: 'cancelled' }, `cancellation of ${order.name}`))
      notice.show(`${order.name} is cancelled`, true)
  }
  return { isAsking, said, ask, send, place, receive, cancel }
}
