/** Criteria of gun and torch as a whole: kind, cooling, and how it lies in the hand. */
import { dataPlate } from '../basis/source.ts'
import { figure, message, word } from '../model/message.ts'
import { HOLDER } from '../reference/processes.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, notKnown, ofSetUp } from './grouped.ts'

const PLATE = dataPlate()

const gunKind = ofSetUp(
  'gun-kind',
  'together',
  ['gun'],
  ({ gun, process }) => {
    if (!gun) return null
    const wanted = HOLDER[process.electrode]
    const params = {
      gun: gun.name,
      kind: word('holder', gun.kind),
      wanted: word('holder', wanted),
      process: word('process', process.id),
    }
    return gun.kind === wanted ? good('right', params) : bad('other', params)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('a-holder', { wanted: params['wanted'] ?? '' })],
  },
)

const waterCooling = ofSetUp(
  'water-cooling',
  'together',
  ['gun', 'powerSource'],
  ({ gun, powerSource, process }) => {
    if (!gun || !powerSource || gun.kind !== HOLDER[process.electrode] || gun.cooling !== 'water') return null
    const params = { gun: gun.name, source: powerSource.name }
    if (powerSource.waterCooler === null) return notKnown(message('water-cooler', params))
    return powerSource.waterCooler ? good('cooled', params, PLATE) : bad('no-cooler', params, PLATE)
  },
  { concerns: 'feed-path', mends: () => [message('air-cooled-or-cooler')] },
)

/** What the arm holds all day: no verdict hangs on it, but people choose by it. */
const handling = ofSetUp('handling', 'together', ['gun'], ({ gun }) => {
  if (!gun) return null
  if (gun.kind === 'holder') return null
  const kind = gun.cooling === 'water' ? 'water' : gun.drive === 'spool' ? 'spool' : 'air'
  const length = figure(gun.lengthMm, 'mm length')
  return gun.massG === null
    ? good(kind, { length })
    : good(`${kind}-weighed`, { length, mass: figure(gun.massG, 'g') })
})

export const GUN_CRITERIA: readonly Criterion[] = [gunKind, waterCooling, handling]
