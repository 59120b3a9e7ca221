/** Tips, nozzles, collets, cups and caps screw into guns and torches of their own class only. */
import { dataPlate } from '../basis/source.ts'
import type { Gun } from '../kinds/equipment.ts'
import { message, word } from '../model/message.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, notKnown, ofSetUp } from './grouped.ts'

type ClassedSlot = 'tip' | 'nozzle' | 'collet' | 'colletBody' | 'cup' | 'backCap'

const PLATE = dataPlate()
const FEED_PATH = { concerns: 'feed-path' } as const

const classOf = (
  id: string,
  slot: ClassedSlot,
  kind: Gun['kind'],
  more: Pick<Criterion, 'concerns'> = {},
): Criterion =>
  ofSetUp(
    id,
    'together',
    ['gun', slot],
    (capability) => {
      const part = capability[slot]
      const { gun } = capability
      if (!part || gun?.kind !== kind) return null
      if (gun.partsClass === null) return notKnown(message('class-of-gun', { gun: gun.name }))
      if (part.partsClass === null) return notKnown(message('class-of-part', { part: part.name }))
      const params = {
        part: part.name,
        gun: gun.name,
        own: part.partsClass,
        takes: gun.partsClass,
        kind: word('part', part.kind),
      }
      return part.partsClass === gun.partsClass ? good('screws', params, PLATE) : bad('other', params, PLATE)
    },
    {
      ...more,
      mends: (_c, _d, { params }) => [
        message('part-of-class', { kind: params['kind'] ?? '', takes: params['takes'] ?? '' }),
      ],
    },
  )

export const PARTS_CLASS_CRITERIA: readonly Criterion[] = [
  classOf('tip-class', 'tip', 'gun', FEED_PATH),
  classOf('nozzle-class', 'nozzle', 'gun', FEED_PATH),
  classOf('collet-class', 'collet', 'torch'),
  classOf('collet-body-class', 'colletBody', 'torch'),
  classOf('cup-class', 'cup', 'torch'),
  classOf('back-cap-class', 'backCap', 'torch'),
]
