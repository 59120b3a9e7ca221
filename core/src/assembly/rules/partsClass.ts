/** Tips, nozzles, collets, cups and caps screw into guns and torches of their own class only. */
import { type Gun, PART_WORDS } from '../../model/equipment.ts'
import { dataPlate } from '../../model/source.ts'
import type { Assembly } from '../assembly.ts'
import { fits, type Judge, type Judgement, notKnown, type Rule, short, wants } from '../rule.ts'

type ClassedSlot = 'tip' | 'nozzle' | 'collet' | 'colletBody' | 'cup' | 'backCap'

function sameClass(part: NonNullable<Assembly[ClassedSlot]>, gun: Gun): Judgement {
  if (gun.partsClass === null) return notKnown(`which parts screw into ${gun.name}`)
  if (part.partsClass === null) return notKnown(`which guns or torches ${part.name} is for`)
  return part.partsClass === gun.partsClass
    ? fits(() => `${part.name} screws into ${gun.name}`, dataPlate())
    : short(
        () => `${part.name} is for “${part.partsClass}”; ${gun.name} takes “${gun.partsClass}”`,
        dataPlate(),
        wants(() => `A ${PART_WORDS[part.kind]} of class “${gun.partsClass}”`),
      )
}

const classOf =
  (slot: ClassedSlot, kind: Gun['kind']): Judge =>
  (assembly) => {
    const part = assembly[slot]
    const { gun } = assembly
    return part && gun?.kind === kind ? sameClass(part, gun) : null
  }

const tipClass = classOf('tip', 'gun')
const nozzleClass = classOf('nozzle', 'gun')
const colletClass = classOf('collet', 'torch')
const colletBodyClass = classOf('colletBody', 'torch')
const cupClass = classOf('cup', 'torch')
const backCapClass = classOf('backCap', 'torch')

export const PARTS_CLASS_RULES: readonly Rule[] = [
  { id: 'tip-class', title: 'Tip for the gun', group: 'wire-path', slots: ['gun', 'tip'], judge: tipClass },
  {
    id: 'nozzle-class',
    title: 'Nozzle for the gun',
    group: 'wire-path',
    slots: ['gun', 'nozzle'],
    judge: nozzleClass,
  },
  {
    id: 'collet-class',
    title: 'Collet for the torch',
    group: 'torch',
    slots: ['gun', 'collet'],
    judge: colletClass,
  },
  {
    id: 'collet-body-class',
    title: 'Collet body for the torch',
    group: 'torch',
    slots: ['gun', 'colletBody'],
    judge: colletBodyClass,
  },
  { id: 'cup-class', title: 'Cup for the torch', group: 'torch', slots: ['gun', 'cup'], judge: cupClass },
  {
    id: 'back-cap-class',
    title: 'Back cap for the torch',
    group: 'torch',
    slots: ['gun', 'backCap'],
    judge: backCapClass,
  },
]
