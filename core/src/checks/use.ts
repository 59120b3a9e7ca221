/** What the job uses up against what is there: wire or rod, gas, tungsten, hours. */
import { printValue } from '../quantity/printValue.ts'
import { fillerUse, gasUse, tungstenUse, workTime } from '../fit/uses.ts'
import type { Worked } from '../model/working.ts'
import type { FitContext } from '../fit/context.ts'
import type { Finding } from '../model/finding.ts'
import { type Check, type CheckName, judge, unknownFinding } from './check.ts'

interface Stock {
  readonly use: Worked
  readonly unit: string
  readonly left: number | null
  /** What nobody has said, where `left` is null. */
  readonly missing: string
  readonly restsOn: string
  readonly wants: string
  readonly gives: string
  readonly mend: (shortBy: number) => string
}

function againstStock(context: FitContext, name: CheckName, stock: Stock): Finding {
  const demand = { value: stock.use.value, unit: stock.unit }
  if (stock.left === null) {
    return unknownFinding(name, stock.missing, { demand, working: stock.use.steps })
  }
  return judge(context, name, {
    demand,
    capacity: { value: stock.left, unit: stock.unit },
    restsOn: stock.restsOn,
    working: stock.use.steps,
    wants: stock.wants,
    gives: stock.gives,
    mends: (verdict) =>
      verdict === 'short' ? [{ says: stock.mend(stock.use.value - (stock.left ?? 0)) }] : [],
  })
}

export const wireUse: Check = (context) => {
  const { wire, process, shop } = context
  const name = { check: 'wire-use', title: process.feedsWire ? 'Wire used' : 'Rod used' }
  const use = fillerUse(context)
  if (!wire) {
    // TIG without a rod is a way to weld where the parts themselves give the metal.
    if (!process.feedsWire && use.value === 0) return null
    return unknownFinding(name, process.feedsWire ? 'the wire' : 'the rod', {
      demand: { value: use.value, unit: 'g' },
    })
  }
  return againstStock(context, name, {
    use,
    unit: 'g',
    left: wire.stockG,
    missing: `how much ${wire.name} is on the shelf`,
    restsOn: 'handbook, stock',
    wants: 'The job uses',
    gives: 'on the shelf',
    mend: (shortBy) => {
      const packages = Math.ceil(shortBy / wire.packageG)
      return `Buy ${packages} more ${wire.form === 'rod' ? 'tube' : 'spool'}${packages > 1 ? 's' : ''} of ${printValue(wire.packageG, 'g', shop.unitSystem)}`
    },
  })
}

export const gasUsed: Check = (context) => {
  const { gas, process } = context
  if (!process.shielded) return null
  const name = { check: 'gas-use', title: 'Gas used' }
  const use = gasUse(context)
  if (!gas || !use) return unknownFinding(name, gas ? 'a wire: arc time follows from it' : 'the gas')
  return againstStock(context, name, {
    use,
    unit: 'L',
    left: gas.leftL,
    missing: `how much ${gas.name} is left: read the gauge`,
    restsOn: 'flow rule, gauge',
    wants: 'The job uses',
    gives: 'left in the cylinder',
    mend: (shortBy) => {
      const cylinders = Math.ceil(shortBy / gas.fullL)
      return `Have ${cylinders} more full cylinder${cylinders > 1 ? 's' : ''} of ${gas.name} ready`
    },
  })
}

export const tungstenUsed: Check = (context) => {
  const { tungsten, process } = context
  if (process.family !== 'gtaw') return null
  const name = { check: 'tungsten-use', title: 'Tungsten used' }
  const use = tungstenUse(context)
  if (!tungsten || !use) return unknownFinding(name, 'the tungsten')
  return againstStock(context, name, {
    use,
    unit: 'pieces',
    left: tungsten.stock,
    missing: `how many ${tungsten.name} are in the drawer`,
    restsOn: 'common practice, stock',
    wants: 'The job grinds away',
    gives: 'in the drawer',
    mend: (shortBy) => `Buy ${Math.ceil(shortBy)} more ${tungsten.name}`,
  })
}

export const timeUsed: Check = (context) => {
  const name = { check: 'time-use', title: 'Working time' }
  const use = workTime(context)
  if (!use) return unknownFinding(name, 'a wire: arc time follows from it')
  return againstStock(context, name, {
    use,
    unit: 'h',
    left: context.job.hoursSetAside,
    missing: 'how many hours are set aside for the job',
    restsOn: 'operating factor',
    wants: 'The job takes',
    gives: 'set aside',
    mend: () => `Set aside ${Math.ceil(use.value * 4) / 4} h`,
  })
}
