/** Machines on their circuits: the columns of a board that asks which machine does which job. */
import type { WhatIf } from '../board/whatIf.ts'
import type { Settings } from '../capability/capability.ts'
import type { Circuit, PowerSource, SetUp } from '../kinds/equipment.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { isCandidate } from '../model/ownership.ts'

/** The cables of a machine where it is used. A search that left them out would call a weak supply strong. */
export type Cables = Pick<Settings, 'cordSize' | 'cordLengthMm' | 'leadSize' | 'leadLengthMm'>

export interface Station {
  /** Of machine and circuit, as text. */
  readonly id: string
  readonly powerSource: PowerSource
  /** Null for a machine with its own engine, and for one that no set-up puts on a circuit: then every circuit is tried. */
  readonly circuit: Circuit | null
  readonly cables: Cables
}

export const NO_CABLES: Cables = { cordSize: null, cordLengthMm: null, leadSize: null, leadLengthMm: null }

export const stationId = (powerSourceId: string, circuitId: string | null): string =>
  `${powerSourceId} ${circuitId ?? ''}`

const longest = (setUps: readonly SetUp[], key: 'cordLengthMm' | 'leadLengthMm'): SetUp | undefined =>
  setUps.filter((one) => one[key] !== null).toSorted((a, b) => (b[key] ?? 0) - (a[key] ?? 0))[0]

/** The longest cord and the longest leads that a set-up has there: the weakest supply that somebody has planned with. */
function cablesOf(setUps: readonly SetUp[]): Cables {
  const cord = longest(setUps, 'cordLengthMm')
  const leads = longest(setUps, 'leadLengthMm')
  return {
    cordSize: cord?.cordSize ?? null,
    cordLengthMm: cord?.cordLengthMm ?? null,
    leadSize: leads?.leadSize ?? null,
    leadLengthMm: leads?.leadLengthMm ?? null,
  }
}

/**
 * @returns each machine once for every circuit that a set-up puts it on, what is owned first
 * @example stationsOf(shelf, setUps).map(({ circuit }) => circuit?.name) // ['Bay 2', 'North wall']
 */
export function stationsOf(shelf: Shelf, setUps: readonly SetUp[]): readonly Station[] {
  const sources = shelf.powerSources.toSorted((a, b) => Number(isCandidate(a)) - Number(isCandidate(b)))
  return sources.flatMap((powerSource): readonly Station[] => {
    const own = setUps.filter(({ powerSourceId }) => powerSourceId === powerSource.id)
    const ids = [...new Set(own.map(({ circuitId }) => circuitId))]
    const circuits = isEngineDriven(powerSource) ? [] : shelf.circuits.filter(({ id }) => ids.includes(id))
    const on = (circuit: Circuit | null, there: readonly SetUp[]): Station => ({
      id: stationId(powerSource.id, circuit?.id ?? null),
      powerSource,
      circuit,
      cables: cablesOf(there),
    })
    if (circuits.length === 0) return [on(null, own)]
    return circuits.map((circuit) =>
      on(
        circuit,
        own.filter(({ circuitId }) => circuitId === circuit.id),
      ),
    )
  })
}

/**
 * @param shelf as it would be
 * @returns the stations as they would be: where every machine is put on one circuit, each of them once
 */
export function stationsIf(shelf: Shelf, setUps: readonly SetUp[], whatIf: WhatIf): readonly Station[] {
  const stations = stationsOf(shelf, setUps)
  const circuit = whatIf.kind === 'all-on' ? shelf.circuits.find(({ id }) => id === whatIf.circuitId) : null
  if (!circuit) return stations
  const moved = stations.map((station): Station =>
    isEngineDriven(station.powerSource)
      ? station
      : { ...station, id: stationId(station.powerSource.id, circuit.id), circuit },
  )
  return moved.filter(({ id }, at) => moved.findIndex((one) => one.id === id) === at)
}
