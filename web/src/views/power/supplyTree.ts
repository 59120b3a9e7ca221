/** The supply as a tree: who feeds whom, from the supplier and the generators down to what is plugged in. */
import { type NodePower, printNumber, type Shelf, type Shop } from '@brannik/core'
import type { Branch } from '../../charts/OneLine.vue'

export interface Place {
  readonly id: string
  readonly kind: 'supplier' | 'generator' | 'panel' | 'circuit' | 'drawer'
  readonly name: string
  /** Of a breaker with its cable, of a generator its power; empty for the others. */
  readonly note: string
  /** What flows there; null where nothing does. */
  readonly power: NodePower | null
}

type Tree = Branch<Place>

/** Names that hang on one circuit are told in one place: the circuit is theirs. */
const drawersOf = (circuitId: string, power: NodePower | null): readonly Tree[] => {
  const names = power?.carries ?? []
  if (names.length === 0) return []
  const id = `drawers ${circuitId}`
  return [{ key: id, item: { id, kind: 'drawer', name: names.join('; '), note: '', power: null }, below: [] }]
}

/**
 * @param nodes what is known of each breaker and generator
 * @returns the supplier with all its services, and each generator; panels that are fed from themselves stand by the supplier
 */
export function supplyTree(
  { panels, circuits, generators }: Pick<Shelf, 'panels' | 'circuits' | 'generators'>,
  nodes: readonly NodePower[],
  locale: Shop['locale'] = 'en-US',
): readonly Tree[] {
  const powerOf = (kind: NodePower['kind'], id: string): NodePower | null =>
    nodes.find((node) => node.kind === kind && node.id === id) ?? null
  const breaker = (one: { breakerA: number; conductorSize: string }): string =>
    `${one.breakerA} A, ${one.conductorSize}`
  const circuitTrees = (of: (circuit: (typeof circuits)[number]) => boolean): readonly Tree[] =>
    circuits.filter(of).map((circuit) => {
      const power = powerOf('circuit', circuit.id)
      return {
        key: `circuit ${circuit.id}`,
        item: { id: circuit.id, kind: 'circuit', name: circuit.name, note: breaker(circuit), power },
        below: drawersOf(circuit.id, power),
      }
    })
  const drawn = new Set<string>()
  const panelTree = (panel: (typeof panels)[number]): Tree => {
    drawn.add(panel.id)
    const power = powerOf('panel', panel.id)
    return {
      key: `panel ${panel.id}`,
      item: { id: panel.id, kind: 'panel', name: panel.name, note: breaker(panel), power },
      below: [
        ...panels.filter(({ id, fedFromId }) => fedFromId === panel.id && !drawn.has(id)).map(panelTree),
        ...circuitTrees(({ panelId }) => panelId === panel.id),
      ],
    }
  }
  const ofGenerators = generators.map((generator): Tree => {
    const power = powerOf('generator', generator.id)
    const { id, name, runningW } = generator
    return {
      key: `generator ${id}`,
      item: {
        id,
        kind: 'generator',
        name,
        note: `${printNumber(runningW / 1000, locale)} kW running`,
        power,
      },
      below: [
        ...panels.filter((panel) => panel.generatorId === id).map(panelTree),
        ...circuitTrees(({ generatorId }) => generatorId === id),
      ],
    }
  })
  const services = panels.filter(({ fedFromId, generatorId }) => fedFromId === null && generatorId === null)
  const fed = services.map(panelTree)
  // Fed in a ring, or from a panel that is not there: they are drawn all the same.
  const lost = panels
    .filter(({ id }) => !drawn.has(id))
    .flatMap((panel) => (drawn.has(panel.id) ? [] : [panelTree(panel)]))
  const loose = circuitTrees(
    ({ panelId, generatorId }) => generatorId === null && !panels.some(({ id }) => id === panelId),
  )
  const below = [...fed, ...lost, ...loose]
  return [
    ...(below.length === 0
      ? []
      : [
          {
            key: 'supplier',
            item: { id: 'supplier', kind: 'supplier' as const, name: 'Utility', note: '', power: null },
            below,
          },
        ]),
    ...ofGenerators,
  ]
}
