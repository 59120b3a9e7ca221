/** The wire that a feeder pushes. */
import type { Wire } from '../../model/equipment.ts'
import type { Assembly } from '../assembly.ts'

/** The wire on a spool that this process feeds; null for a rod or none. */
export const fedWire = ({ process, wire }: Assembly): Wire | null =>
  process.feedsWire && wire && wire.form !== 'rod' ? wire : null
