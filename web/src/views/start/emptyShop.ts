/** A shop in which nothing stands yet, as its file would be. */
import {
  fileVersionOf,
  LOCALES,
  type Shop,
  SHOP_DOCUMENT_FORMAT,
  type ShopDocument,
  usualFilletRule,
  usualRuleBook,
} from '@brannik/core'

/** As this browser writes its numbers, where the shop can; else the first that begins alike. */
export const localeHere = (): Shop['locale'] => {
  const wanted = navigator.language
  const alike = LOCALES.find((one) => one.slice(0, 2) === wanted.slice(0, 2))
  return LOCALES.find((one) => one === wanted) ?? alike ?? 'en-US'
}

export function emptyShop(name: string, unitSystem: Shop['unitSystem']): ShopDocument {
  return {
    format: SHOP_DOCUMENT_FORMAT,
    version: fileVersionOf(SHOP_DOCUMENT_FORMAT),
    shop: {
      id: 'shop',
      name,
      unitSystem,
      // The shop says otherwise where it is not so.
      ruleBook: usualRuleBook(unitSystem),
      locale: localeHere(),
      currency: 'USD',
      aluminiumTip: 'one-over',
      filletRule: usualFilletRule(unitSystem),
      assumptions: {},
    },
    generators: [],
    panels: [],
    circuits: [],
    loads: [],
    powerSources: [],
    feeders: [],
    guns: [],
    parts: [],
    wires: [],
    gases: [],
    tungstens: [],
    stock: [],
    setUps: [],
    jobs: [],
    requirementSheets: [],
    decisions: [],
  }
}

/** Looked at only where a cord or a long run asks for it. */
export const USUAL_LENGTH_MM = 9144
