/** What is on a spool or in a pack, as one reads it: on the scale, by the depth of the wire, or by counting rods. */
import type { Spool } from '../kinds/spool.ts'
import type { Wire } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { parseQuantity } from '../quantity/parse.ts'
import { isNumberProblem, readNumber } from '../quantity/number.ts'
import type { Notation } from '../quantity/units.ts'
import { DENSITY } from '../reference/materials.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type { Assumptions } from '../assumptions/assume.ts'
import { electrodeMassG } from '../trade/covered.ts'

export type ContentsRead =
  { readonly ok: true; readonly valueG: number } | { readonly ok: false; readonly message: string }
const refused = (message: string): ContentsRead => ({ ok: false, message })

/** The usual cut rod, mm (AWS A5.18 and A5.9: 36 in). */
const ROD_MM = 914.4
const MM3_PER_CM3 = 1000

/** @returns g of one rod or covered electrode; null of what is on a spool */
export function pieceG(wire: Wire, reckoner: Reckoner): number | null {
  if (isSpooled(wire)) return null
  if (wire.form === 'covered') return electrodeMassG(wire, reckoner)
  const areaMm2 = (Math.PI * wire.diameterMm ** 2) / 4
  return ((areaMm2 * (wire.lengthMm ?? ROD_MM)) / MM3_PER_CM3) * DENSITY[wire.metal].value
}

/** More than this over a full package is another spool, or a wrong tare. */
const OVERFULL = 1.15

const DEPTH = /^(.+?)\s+(?:deep|depth|down)$/i
const PIECES = /^(.+?)\s*(?:pcs|pieces?|rods?|sticks?|electrodes?)$/i

/**
 * Wire lies between core and flange, so its share of a full spool is that of the ring (geometry).
 * @param depthMm from the rim of the flange down to the wire
 */
function byDepth(depthMm: number, spool: Spool | null, { packageG }: Wire): ContentsRead {
  const { flangeMm = null, coreMm = null, fullDepthMm = null } = spool ?? {}
  if (flangeMm === null || coreMm === null)
    return refused('is a depth, and flange and core are not recorded. Measure both once, or weigh the spool')
  const outer = flangeMm - 2 * depthMm
  const fullOuter = flangeMm - 2 * (fullDepthMm ?? 0)
  if (outer > fullOuter + 1)
    return refused('is less than the depth of a full spool. Measure from the rim of the flange')
  if (outer < coreMm - 1)
    return refused('is deeper than the core of the spool. Measure from the rim of the flange')
  const ring = Math.max(0, outer ** 2 - coreMm ** 2) / (fullOuter ** 2 - coreMm ** 2)
  return { ok: true, valueG: Math.min(1, ring) * packageG }
}

/**
 * Reads `14.2 lb` on the scale with its spool, `1 in deep`, `40 rods`; a weight without a recorded tare is of the wire alone.
 * @param spool null for what lies loose: several packages may
 * @returns g of wire, or what to enter
 * @example contentsG('6.1 kg', spool, wire, { notation, assumptions }) // 5100 g, where the spool weighs 1 kg empty
 */
export function contentsG(
  text: string,
  spool: Spool | null,
  wire: Wire,
  { notation, assumptions }: { readonly notation: Notation; readonly assumptions: Assumptions },
): ContentsRead {
  const written = text.trim()
  const depth = DEPTH.exec(written)
  if (depth) {
    const read = parseQuantity('weldSize', depth[1] ?? '', notation)
    return read.ok ? byDepth(read.value, spool, wire) : refused(read.problem.message)
  }
  const counted = PIECES.exec(written)
  if (counted) {
    const each = pieceG(wire, reckonerFor(assumptions))
    if (each === null) return refused('counts pieces, and this wire is on a spool. Weigh it')
    const number = readNumber(counted[1] ?? '', notation.locale)
    if (isNumberProblem(number) || number.rest !== '' || !Number.isInteger(number.value))
      return refused('is no number of pieces. Enter for example 40 rods')
    return { ok: true, valueG: number.value * each }
  }
  const read = parseQuantity('mass', written, notation)
  if (!read.ok) return refused(read.problem.message)
  const valueG = read.value - (spool?.tareG ?? 0)
  if (valueG < 0)
    return refused('is less than it weighs empty. Weigh it with its wire, or correct the empty weight')
  if (spool && valueG > wire.packageG * OVERFULL)
    return refused('is more than a full package holds. Check the empty weight, or enter what one holds')
  return { ok: true, valueG }
}
