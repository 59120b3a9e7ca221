/** Sheet gauges: one number, four thicknesses. In inches, as the tables print them. */

export type GaugeTableId = 'carbon-steel' | 'galvanised' | 'stainless' | 'aluminium'

export interface GaugeTable {
  readonly id: GaugeTableId
  readonly name: string
  readonly source: string
  /** Gauge number to thickness in inches. */
  readonly inches: ReadonlyMap<number, number>
}

const numbered = (first: number, inches: number[]): ReadonlyMap<number, number> =>
  new Map(inches.map((thickness, index) => [first + index, thickness]))

const CARBON_STEEL: GaugeTable = {
  id: 'carbon-steel',
  name: 'carbon steel sheet',
  source:
    "Manufacturers' Standard Gage for steel sheet (from memory, checked by its rule of 41.82 lb/ft² per in)",
  inches: numbered(
    3,
    [
      0.2391, 0.2242, 0.2092, 0.1943, 0.1793, 0.1644, 0.1495, 0.1345, 0.1196, 0.1046, 0.0897, 0.0747, 0.0673,
      0.0598, 0.0538, 0.0478, 0.0418, 0.0359, 0.0329, 0.0299, 0.0269, 0.0239, 0.0209, 0.0179, 0.0164, 0.0149,
    ],
  ),
}

const GALVANISED: GaugeTable = {
  id: 'galvanised',
  name: 'galvanised sheet',
  source: 'Galvanised sheet gage (from memory, checked as the steel gage plus 0.0037 in of coating)',
  inches: numbered(
    8,
    [
      0.1681, 0.1532, 0.1382, 0.1233, 0.1084, 0.0934, 0.0785, 0.071, 0.0635, 0.0575, 0.0516, 0.0456, 0.0396,
      0.0366, 0.0336, 0.0306, 0.0276, 0.0247, 0.0217, 0.0202, 0.0187,
    ],
  ),
}

const STAINLESS: GaugeTable = {
  id: 'stainless',
  name: 'stainless sheet',
  source: 'US Standard Gage, Act of 1893 (from memory, checked as fractions of 320ths and 640ths of an inch)',
  inches: numbered(
    3,
    [
      0.25, 0.2344, 0.2187, 0.2031, 0.1875, 0.1719, 0.1562, 0.1406, 0.125, 0.1094, 0.0937, 0.0781, 0.0703,
      0.0625, 0.0562, 0.05, 0.0437, 0.0375, 0.0344, 0.0312, 0.0281, 0.025, 0.0219, 0.0187, 0.0172, 0.0156,
    ],
  ),
}

const ALUMINIUM: GaugeTable = {
  id: 'aluminium',
  name: 'aluminium sheet',
  source: 'Brown & Sharpe gage (from memory, checked by its rule 0.005·92^((36−n)/39), ASTM B258)',
  inches: numbered(
    3,
    [
      0.2294, 0.2043, 0.1819, 0.162, 0.1443, 0.1285, 0.1144, 0.1019, 0.0907, 0.0808, 0.072, 0.0641, 0.0571,
      0.0508, 0.0453, 0.0403, 0.0359, 0.032, 0.0285, 0.0253, 0.0226, 0.0201, 0.0179, 0.0159, 0.0142, 0.0126,
    ],
  ),
}

export const GAUGE_TABLES: Readonly<Record<GaugeTableId, GaugeTable>> = {
  'carbon-steel': CARBON_STEEL,
  galvanised: GALVANISED,
  stainless: STAINLESS,
  aluminium: ALUMINIUM,
}

/** Smallest and largest gauge number of a table. */
export function gaugeRange(table: GaugeTable): { least: number; most: number } {
  const numbers = [...table.inches.keys()]
  return { least: Math.min(...numbers), most: Math.max(...numbers) }
}
