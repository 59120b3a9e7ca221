/** A shop in which nothing stands yet, as its file would be. */
import {
  fileVersionOf,
  LISTED,
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

/** What is paid with there; the shop says otherwise where it is not so. */
const CURRENCY: Readonly<Record<Shop['locale'], string>> = {
  'en-US': 'USD',
  'en-GB': 'GBP',
  'de-DE': 'EUR',
  'de-CH': 'CHF',
  'fr-FR': 'EUR',
  'es-ES': 'EUR',
  'sv-SE': 'SEK',
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
      currency: CURRENCY[localeHere()],
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      aluminiumTip: 'one-over',
      filletRule: usualFilletRule(unitSystem),
      assumptions: {},
    },
    ...Object.fromEntries(LISTED.map(({ listKey }) => [listKey, []])),
  } as unknown as ShopDocument
}

/** Of a run of cable, in figures of the shop: looked at only where a cord or a long run asks for it. */
export const usualLengthMm = ({ unitSystem }: Pick<Shop, 'unitSystem'>): number =>
  unitSystem === 'imperial' ? 9144 : 10_000
