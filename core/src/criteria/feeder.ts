/** Criteria of the feeder: the wires and spools that it takes, and what plugs into it. */
import { dataPlate, standard } from '../basis/source.ts'
import { type Capability, FEED_SLOTS } from '../capability/capability.ts'
import type { Connector, Gun, PowerSource } from '../kinds/equipment.ts'
import { figure, list, message, word } from '../model/message.ts'
import { HOLDER } from '../reference/processes.ts'
import type { Criterion } from './criterion.ts'
import { SAME_SIZE_MM } from '../trade/sameSize.ts'
import { bad, good, notKnown, ofSetUp } from './grouped.ts'

const PLATE = dataPlate()
const SLOTS = [...FEED_SLOTS, 'wire'] as const

/** A feeder takes a range of wire sizes. */
const wireSizeFed = ofSetUp(
  'wire-size-fed',
  'together',
  SLOTS,
  ({ feedPath, fedWire }) => {
    if (!fedWire || !feedPath) return null
    const { wireMinMm, wireMaxMm } = feedPath.feeder
    if (wireMinMm === null || wireMaxMm === null)
      return notKnown(message('wire-sizes', { feeder: feedPath.name }))
    const params = {
      feeder: feedPath.name,
      least: figure(wireMinMm, 'mm diameter'),
      most: figure(wireMaxMm, 'mm diameter'),
      wire: fedWire.name,
      size: figure(fedWire.diameterMm, 'mm diameter'),
    }
    const { diameterMm } = fedWire
    return diameterMm < wireMinMm - SAME_SIZE_MM || diameterMm > wireMaxMm + SAME_SIZE_MM
      ? bad('outside', params, PLATE)
      : good('within', params, PLATE)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [
      message('wire-within', { least: params['least'] ?? '', most: params['most'] ?? '' }),
    ],
  },
)

/** A spool that does not go on the hub. */
const spoolSize = ofSetUp(
  'spool-size',
  'together',
  SLOTS,
  ({ feedPath, fedWire }) => {
    if (!fedWire || !feedPath) return null
    const { spoolMm, name: wire } = fedWire
    if (spoolMm === null) return notKnown(message('spool', { wire }))
    const { spoolsMm } = feedPath.feeder
    if (spoolsMm.length === 0) return notKnown(message('spools', { feeder: feedPath.name }))
    const params = {
      feeder: feedPath.name,
      takes: list(spoolsMm.map((mm) => word('spool', `${mm}`))),
      wire,
      spool: word('spool', `${spoolMm}`),
    }
    const source = standard('ISO 544, spools S 100, S 200, S 300', true)
    return spoolsMm.includes(spoolMm) ? good('takes', params, source) : bad('other', params, source)
  },
  {
    concerns: 'feed-path',
    isByPackage: true,
    mends: (_c, _d, { params }) => [message('spool-of', { takes: params['takes'] ?? '' })],
  },
)

/** A rounding of kilograms to pounds is no overload. */
const ROUNDED = 1.001

/** A hub or a spool gun carries so much. */
const spoolMass = ofSetUp(
  'spool-mass',
  'together',
  SLOTS,
  ({ feedPath, fedWire }) => {
    const mostG = feedPath?.feeder.spoolMostG ?? null
    if (!fedWire || !feedPath || mostG === null) return null
    const params = {
      feeder: feedPath.name,
      wire: fedWire.name,
      mass: figure(fedWire.packageG, 'g'),
      most: figure(mostG, 'g'),
    }
    return fedWire.packageG > mostG * ROUNDED ? bad('heavier', params, PLATE) : good('carries', params, PLATE)
  },
  {
    concerns: 'feed-path',
    isByPackage: true,
    mends: (_c, _d, { params }) => [message('spool-at-most', { most: params['most'] ?? '' })],
  },
)

interface Socket {
  readonly name: string
  readonly has: Connector | null
}
/** Where a gun or torch is plugged in: a torch and a spool gun at the source, any other gun at the feeder. */
function socketFor(
  { feedPath }: Capability,
  gun: Gun,
  { name, torchConnector, feeder }: PowerSource,
): Socket | null {
  if (gun.kind === 'torch') return { name, has: torchConnector }
  if (gun.drive === 'spool') return { name, has: feeder?.gunConnector ?? null }
  return feedPath && { name: feedPath.name, has: feedPath.feeder.gunConnector }
}

/** What is plugged in must go in. */
const connector = ofSetUp(
  'connector',
  'together',
  FEED_SLOTS,
  (capability) => {
    const { gun, process, powerSource } = capability
    if (!gun || !powerSource) return null
    const socket = socketFor(capability, gun, powerSource)
    if (gun.kind !== HOLDER[process.electrode] || gun.kind === 'holder' || !socket) return null
    if (socket.has === null)
      return notKnown(
        message('machine-connector', { holder: word('holder', gun.kind), machine: socket.name }),
      )
    if (gun.connector === null) return notKnown(message('gun-connector', { gun: gun.name }))
    const params = {
      gun: gun.name,
      machine: socket.name,
      own: word('connector', gun.connector),
      has: word('connector', socket.has),
      holder: word('holder', gun.kind),
    }
    if (gun.connector === socket.has) return good('same', params, PLATE)
    const code = socket.has === 'fixed' ? 'wired-in' : gun.connector === 'fixed' ? 'of-another' : 'other'
    return bad(code, params, PLATE)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { code, params }) => [
      message(code === 'wired-in' ? 'gun-wired-in' : 'gun-with-connector', params),
    ],
  },
)

export const FEEDER_CRITERIA: readonly Criterion[] = [connector, wireSizeFed, spoolSize, spoolMass]
