/** Where a gun, a spool or a cylinder is: on a machine, or where it is kept. */
import type { PresentSetUp } from '@brannik/core'

/** The place of a set-up that names such a thing, by the path of its records. */
const KEYS = { guns: 'gunId', wires: 'wireId', gases: 'gasId' } as const
export type Loose = keyof typeof KEYS
export const LOOSE = Object.keys(KEYS) as readonly Loose[]

/**
 * @param nameOf the name of a power source
 * @returns where it is now
 * @example placeOf('wires', { id: 'er70s6-035', keptAt: null }, presents, nameOf) // 'open on Quillon 210'
 */
export function placeOf(
  list: Loose,
  { id, keptAt }: { readonly id: string; readonly keptAt: string | null },
  presents: readonly PresentSetUp[],
  nameOf: (sourceId: string) => string,
): string {
  const on = presents.filter((present) => present[KEYS[list]] === id)
  if (on.length > 0)
    return `${list === 'guns' ? 'on' : 'open on'} ${on.map((present) => nameOf(present.id)).join(', ')}`
  return keptAt ?? (list === 'guns' ? 'on its hook' : 'in store')
}
