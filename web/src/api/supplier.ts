/** The supplier over the network: asked through the server, which checks what he answers. */
import { ask } from './client.ts'

export interface AskedItem {
  readonly item: string
  readonly kind: 'wire' | 'gas' | 'tungsten' | 'part'
  readonly classification: string
  readonly diameterMm: number | null
  readonly packSize: number
}
export interface PricedItem {
  readonly item: string
  readonly price: number
  readonly currency: string
  readonly inStock: number
  readonly leadDays: number
  readonly breakFrom: number | null
  readonly breakPrice: number | null
}
export interface SupplierPrices {
  readonly isStandIn: boolean
  readonly items: readonly PricedItem[]
  readonly refused: readonly { readonly item: string; readonly why: string }[]
}

export const askPrices = (items: readonly AskedItem[], currency: string): Promise<SupplierPrices> =>
  ask<SupplierPrices>('POST', 'supplier/prices', { items, currency })

/** Sent again it is the same order: its id is its key. */
export const sendOrder = (
  orderId: string,
  lines: readonly { readonly item: string; readonly packs: number }[],
): Promise<{ readonly isStandIn: boolean; readonly number: string; readonly leadDays: number }> =>
  ask('POST', 'supplier/orders', { orderId, lines })
