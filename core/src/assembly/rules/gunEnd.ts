/** Rules of the gun's end: contact tip, nozzle, and whether it feeds aluminium at all. */
import { commonPractice } from '../../model/source.ts'
import { diameter, fits, isSameSize, type Judge, print, type Rule, short, tight, wants } from '../rule.ts'
import { compatibleTipsMm } from '../tipSizes.ts'
import { isSoft } from './aluminium.ts'
import { fedWire } from './fedWire.ts'

/** Tip as the wire; for aluminium one size over, or the wire's own by the other school. */
const tipBore: Judge = (assembly) => {
  const { tip, shop } = assembly
  const wire = fedWire(assembly)
  if (!wire || !tip) return null
  const { wantedMm, otherMm } = compatibleTipsMm(wire, shop)
  const has = () => diameter(assembly, tip.wireMm)
  const wanted = () => diameter(assembly, wantedMm)
  if (isSameSize(tip.wireMm, wantedMm)) {
    return fits(
      otherMm === null
        ? `Tip of ${has()} for the wire`
        : shop.aluminiumTip === 'one-over'
          ? `Tip of ${has()}, one size over: aluminium swells as it heats`
          : `Tip of ${has()}, the wire’s own size, as this shop has it`,
    )
  }
  if (otherMm !== null && isSameSize(tip.wireMm, otherMm)) {
    return tight(
      shop.aluminiumTip === 'one-over'
        ? `Tip of ${has()} is the wire’s own size: aluminium swells and may stick; this shop goes one over, ${wanted()}`
        : `Tip of ${has()} is one size over; this shop takes the wire’s own, ${wanted()}, for better contact`,
    )
  }
  return short(
    tip.wireMm < wire.diameterMm
      ? `Tip of ${has()} is too small for ${wire.name}: it wants ${wanted()}`
      : `Tip of ${has()} is too wide for ${wire.name}: poor contact, burn-back; it wants ${wanted()}`,
    undefined,
    wants(() => `A tip of ${wanted()}`),
  )
}

/** A gasless nozzle lets gas go anywhere but round the arc. */
const nozzleForGas: Judge = ({ nozzle, process }) => {
  if (!nozzle || !process.feedsWire) return null
  if (process.shielded) {
    return nozzle.gasless
      ? short(
          () => `${nozzle.name} has no gas shroud: ${process.workshopWord} needs a gas nozzle`,
          undefined,
          wants('A gas nozzle'),
        )
      : fits('A gas nozzle for a gas-shielded wire')
  }
  return nozzle.gasless
    ? fits('A gasless nozzle: better sight, and it shields the gas ports')
    : fits(
        'A gas nozzle on self-shielded wire: no harm, and it shields the gas ports; some take it off or use a gasless one to see better',
      )
}

/** Aluminium buckles where it is pushed too far. */
const aluminiumPath: Judge = (assembly) => {
  const { gun, assume } = assembly
  const wire = fedWire(assembly)
  if (!wire || gun?.kind !== 'gun' || wire.metal !== 'aluminium') return null
  if (gun.drive === 'spool') return fits('A spool gun pushes aluminium a hand’s breadth: it feeds')
  if (gun.drive === 'push-pull') return fits('Push-pull keeps aluminium taut all the way')
  const mostMm = assume.value('aluminiumGunMostMm')
  const [length, most] = [print(assembly, gun.lengthMm, 'mm length'), print(assembly, mostMm, 'mm length')]
  const source = commonPractice('common practice: aluminium through an ordinary gun, no source')
  const soft = isSoft(wire.classification)
  if (gun.lengthMm > mostMm) {
    return short(
      () =>
        `${soft ? 'Soft ' : ''}${wire.name} through ${length} of ordinary gun buckles at the rolls: at most ${most}, straight`,
      source,
      { mends: [{ says: 'A spool gun or push-pull' }] },
    )
  }
  if (soft) {
    return short(() => `${wire.name} is too soft to push through any ordinary gun`, source, {
      mends: [{ says: 'A spool gun or push-pull, or the stiffer ER5356 where the metal allows it' }],
    })
  }
  return tight(
    () =>
      `${wire.name} through a short ordinary gun is for occasional work: ${gun.neck === 'straight' ? 'keep' : 'lay'} the hose straight, tension light`,
    source,
    { mends: [{ says: 'A spool gun or push-pull where aluminium is daily work' }] },
  )
}

export const GUN_END_RULES: readonly Rule[] = [
  {
    id: 'aluminium-path',
    title: 'Feeding aluminium',
    group: 'wire-path',
    slots: ['gun', 'wire'],
    judge: aluminiumPath,
  },
  { id: 'tip-bore', title: 'Contact tip', group: 'wire-path', slots: ['tip', 'wire'], judge: tipBore },
  { id: 'nozzle-for-gas', title: 'Nozzle', group: 'wire-path', slots: ['nozzle'], judge: nozzleForGas },
]
