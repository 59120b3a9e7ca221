/** The capacity of 500 set-ups in all positions must be there in a fifth of a second. */
import { bench, describe } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demoShop } from '../testing/samples.ts'
import { capacityOf } from './capacity.ts'

const demo = demoShop()
const many = Array.from({ length: 500 }, (_, index) => {
  const setUp = demo.setUps[index % demo.setUps.length]
  if (!setUp) throw new Error('the demo has no set-up')
  return { setUp, chosen: chosenOf(setUp, demo) }
})

describe('capacity', () => {
  bench('of 500 set-ups, all positions, all supply voltages', () => {
    for (const { setUp, chosen } of many) capacityOf(capabilityOf(demo.shop, setUp, chosen))
  })
})
