/** Criteria of the liner: what it is made of, its size and length, and one metal for each. */
import { dataPlate, handbook } from '../basis/source.ts'
import { figure, message, word } from '../model/message.ts'
import type { Criterion } from './criterion.ts'
import { SAME_SIZE_MM } from '../trade/sameSize.ts'
import { bad, good, ofSetUp, poor } from './grouped.ts'

const PLATE = dataPlate()
const LINERS = handbook('liners by wire, welding handbooks')
const SLOTS = ['gun', 'liner', 'wire'] as const

/** Steel for steel; polymer or graphite for aluminium. */
const linerMaterial = ofSetUp(
  'liner-material',
  'together',
  SLOTS,
  ({ liner, gun, fedWire }) => {
    if (!fedWire || !liner || gun?.drive === 'spool') return null
    const params = { size: figure(fedWire.diameterMm, 'mm diameter') }
    if (fedWire.metal === 'aluminium')
      return liner.material === 'steel'
        ? bad('steel-for-aluminium', params, LINERS)
        : good('slippery', params, LINERS)
    if (liner.material === 'steel') return good('steel', params, LINERS)
    return fedWire.metal === 'stainless'
      ? good('polymer-for-stainless', params, LINERS)
      : poor('polymer-for-steel', params, LINERS)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { verdict, params }) =>
      verdict === 'fails' ? [message('slippery-liner', { size: params['size'] ?? '' })] : [],
  },
)

const linerSize = ofSetUp(
  'liner-size',
  'together',
  SLOTS,
  ({ liner, gun, fedWire }) => {
    if (!fedWire || !liner || gun?.drive === 'spool') return null
    const params = {
      least: figure(liner.wireMinMm, 'mm diameter'),
      most: figure(liner.wireMaxMm, 'mm diameter'),
      wire: fedWire.name,
      size: figure(fedWire.diameterMm, 'mm diameter'),
    }
    if (fedWire.diameterMm > liner.wireMaxMm + SAME_SIZE_MM) return bad('binds', params, PLATE)
    return fedWire.diameterMm < liner.wireMinMm - SAME_SIZE_MM
      ? bad('wanders', params, PLATE)
      : good('within', params, PLATE)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('liner-of-size', { size: params['size'] ?? '' })],
  },
)

const linerLength = ofSetUp(
  'liner-length',
  'together',
  ['gun', 'liner'],
  ({ liner, gun, process }) => {
    if (!process.feedsWire || !liner || !gun || gun.drive === 'spool') return null
    const params = { liner: figure(liner.lengthMm, 'mm length'), gun: figure(gun.lengthMm, 'mm length') }
    return liner.lengthMm < gun.lengthMm ? bad('too-short', params) : good('reaches', params)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('liner-of-length', { length: params['gun'] ?? '' })],
  },
)

/** What one metal leaves in a liner, the next picks up. */
const linerOneMetal = ofSetUp(
  'liner-one-metal',
  'together',
  SLOTS,
  ({ liner, gun, fedWire }) => {
    if (!fedWire || !liner || gun?.drive === 'spool') return null
    if (liner.usedFor === null) return good('new')
    const params = { before: word('metal', liner.usedFor), now: word('metal', fedWire.metal) }
    return liner.usedFor === fedWire.metal ? good('same', params) : bad('other', params)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('liner-kept-for', { metal: params['now'] ?? '' })],
  },
)

export const LINER_CRITERIA: readonly Criterion[] = [linerMaterial, linerSize, linerLength, linerOneMetal]
