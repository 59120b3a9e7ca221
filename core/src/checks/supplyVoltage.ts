/** Whether the power source takes the circuit's voltage and phases for this process at all. */
import { dataPlate } from '../model/source.ts'
import { term } from '../model/working.ts'
import type { Check } from './check.ts'

/** Single-phase goes without saying. */
const wires = (phases: 1 | 3): string => (phases === 3 ? ' 3-phase' : '')

export const supplyVoltage: Check = ({ circuit, supply, supplyAnswer, process }) => {
  if (!circuit) return null
  const gives = `${circuit.voltageV} V${wires(circuit.phases)}`
  const phases = new Set(supplyAnswer.offered.map((s) => s.phases))
  const volts = [...new Set(supplyAnswer.offered.map((s) => s.voltageV))].join('/')
  const takes = volts === '' ? `no ${process.name}` : `${volts} V${phases.has(1) ? '' : ' 3-phase'}`
  return {
    check: 'supply-voltage',
    title: 'Supply voltage',
    verdict: supply ? 'fits' : 'short',
    says: supply ? `Takes ${gives}. Check that links or plug are set for it.` : `${supplyAnswer.says}.`,
    jointId: null,
    demand: takes,
    capacity: gives,
    marginPct: null,
    missing: null,
    restsOn: 'data plate',
    working: [
      {
        says: 'Column of the data plate that holds on this circuit',
        formula: '|U₁ / U_r − 1| ≤ 10 %, same phases',
        terms: [
          term('U₁', 'circuit', gives, '', dataPlate('circuit')),
          term('U_r', 'plate', takes, '', dataPlate()),
        ],
        result: {
          symbol: 'column',
          value: supply ? `${supply.voltageV} V${wires(supply.phases)}` : 'none',
          unit: '',
        },
        source: dataPlate('data plate; tolerance of IEC 60974-1'),
      },
    ],
    mends: [],
  }
}
