import {
  assess,
  byWorst,
  type Capability,
  capabilityOf,
  chosenOf,
  isConsequence,
  missingSlots,
  PROCESS_IDS,
  worstOf,
} from '@brannik/core'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { pick } from '../../testing/pick.ts'
import { demoWorkspace, shopDocument } from '../../testing/demo.ts'
import AluminiumWays from './AluminiumWays.vue'
import { newSetUp } from './newSetUp.ts'
import OfferPanel from './OfferPanel.vue'
import PlaceList from './PlaceList.vue'
import RulePanel from './RulePanel.vue'
import SetUpSettings from './SetUpSettings.vue'
import type { Place } from './useAssembly.ts'

const { shop, setUps, jobs: _jobs, format: _format, version: _version, ...shelf } = shopDocument
beforeEach(async () => {
  await demoWorkspace()
})
const capabilityFor = (id: string): Capability => {
  const setUp = setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(`the demo has no ${id}`)
  return capabilityOf(shop, setUp, chosenOf(setUp, shelf))
}

describe('a new set-up', () => {
  it.each(PROCESS_IDS)('%s is put together whole from the demo shelf', (process) => {
    const made = newSetUp(process, shop, shelf, setUps)
    if (!made.ok) throw new Error(made.message)
    const capability = capabilityOf(shop, made.setUp, chosenOf(made.setUp, shelf))
    expect(missingSlots(capability)).toEqual([])
    const own = assess(capability, null).filter((one) => !isConsequence(one))
    expect(['fits', 'tight']).toContain(worstOf(own))
  })

  it('says what the shelf lacks for it', () => {
    const bare = newSetUp('gtaw-ac', shop, { ...shelf, powerSources: [] }, [])
    expect(bare).toMatchObject({
      ok: false,
      message: expect.stringContaining('no power source is rated for it'),
    })
    const gunless = newSetUp('gtaw-ac', shop, { ...shelf, guns: [] }, [])
    expect(gunless).toMatchObject({ ok: false, message: expect.stringContaining('no torch fits') })
  })
})

describe('choices', () => {
  const offers = (id: string, place: 'gas' | 'liner' | 'wire', optional = false) =>
    mount(OfferPanel, {
      props: { capability: capabilityFor(id), demand: null, place, shelf, optional },
    })

  it('stand in the order of what fits, the greyed with their reason', () => {
    const wrapper = offers('platform-tried', 'liner')
    expect(wrapper.get('[role=status]').text()).toBe('2 of 6 fit the rest')
    const rows = wrapper.findAll('[data-offer]')
    expect(rows.map((row) => row.classes().includes('grey'))).toEqual([false, false, true, true, true, true])
    expect(rows[0]?.text()).toContain('to buy, $44')
    expect(wrapper.get('[data-offer=liner-steel-035-15]').text()).toContain('A steel liner shaves aluminum')
  })

  it('are searched by name and figures, and chosen by a press', async () => {
    const wrapper = offers('bay-2-wire', 'wire')
    await wrapper.get('input').setValue('5356 0.035')
    expect(wrapper.findAll('[data-offer]').map((row) => row.attributes('data-offer'))).toEqual(['er5356-035'])
    await wrapper.get('[data-offer=er5356-035]').trigger('click')
    expect(wrapper.emitted('choose')).toEqual([['er5356-035']])
  })

  it('may be none where the place may stay empty', async () => {
    const wrapper = offers('bench-tig-dc', 'wire', true)
    await wrapper.get('footer button').trigger('click')
    expect(wrapper.emitted('choose')).toEqual([[null]])
    expect(offers('bay-2-wire', 'wire').find('footer button').exists()).toBe(false)
  })
})

describe('the places and the settings', () => {
  const setUpOf = (id: string) => {
    const found = setUps.find((one) => one.id === id)
    if (!found) throw new Error(`the demo has no ${id}`)
    return found
  }

  it('a place opens and shuts, says what is wrong with it, and what is to be bought', async () => {
    const places: Place[] = [
      {
        slot: 'gun',
        title: 'Gun',
        required: true,
        name: 'Dray spool gun',
        verdict: 'fits',
        sentence: '',
        toBuy: { price: 295 },
      },
      {
        slot: 'liner',
        title: 'Liner',
        required: true,
        name: null,
        verdict: 'unknown',
        sentence: 'not chosen',
        toBuy: null,
      },
    ]
    const wrapper = mount(PlaceList, { props: { places, open: 'gun', cautions: ['Unplug first.'] } })
    expect(wrapper.get('[data-slot=gun]').text()).toContain('to buy')
    expect(wrapper.get('[data-slot=liner]').text()).toContain('choose one')
    expect(wrapper.text()).toContain('Unplug first.')
    await wrapper.get('[data-slot=gun]').trigger('click')
    await wrapper.get('[data-slot=liner]').trigger('click')
    expect(wrapper.emitted('open')).toEqual([[null], ['liner']])
  })

  it('TIG asks for start and stick-out, wire does not; another process takes all along', async () => {
    const tig = mount(SetUpSettings, { props: { setUp: setUpOf('bench-tig-dc'), jobId: '' } })
    expect(tig.text()).toContain('Arc start')
    const wire = mount(SetUpSettings, { props: { setUp: setUpOf('bay-2-wire'), jobId: '' } })
    expect(wire.text()).not.toContain('Arc start')
    await pick(wire, 'Process', 'gtaw-ac')
    expect(wire.emitted('change')?.[0]).toEqual([{ process: 'gtaw-ac', polarity: 'ac' }, 'process', 'all'])
    await wire.get('input').setValue('  ')
    await wire.get('input').trigger('change')
    expect(wire.emitted('change')).toHaveLength(1)
  })
})

describe('the rules of a set-up', () => {
  const rules = (id: string) => {
    const capability = capabilityFor(id)
    const criteria = byWorst(assess(capability, null).filter((one) => !isConsequence(one)))
    return mount(RulePanel, { props: { criteria, capability, demand: null, shelf } })
  }

  it('broken ones come first, each with a swap that mends it', async () => {
    const wrapper = rules('platform-tried')
    expect(wrapper.findAll('[data-rule]').at(-1)?.attributes('data-rule')).toBe('tip-bore')
    const gas = wrapper.get('[data-rule=gas-for-metal]')
    await gas.get('.plain-button').trigger('click')
    expect(wrapper.emitted('change')).toEqual([[{ gasId: 'argon' }, 'Argon']])
    await gas.get('.title').trigger('click')
    expect(wrapper.emitted('open')?.[0]?.[0]).toBe('gas-for-metal')
  })

  it('met ones are counted and listed', () => {
    const wrapper = rules('bay-2-wire')
    expect(wrapper.find('[data-rule]').exists()).toBe(false)
    expect(wrapper.get('h2').text()).toBe(`${wrapper.findAll('.met li').length} checks pass`)
  })

  it('a ways table compares converting the gun with buying one, in money', async () => {
    const wrapper = mount(AluminiumWays, {
      props: { capability: capabilityFor('platform-tried'), demand: null, shelf },
    })
    const rows = wrapper.findAll('tbody tr')
    expect(rows[0]?.text()).toContain('$68')
    expect(rows[0]?.text()).toContain('buckles at the rolls')
    expect(rows[1]?.text()).toContain('$295')
    await rows[1]?.get('button').trigger('click')
    expect(wrapper.emitted('change')?.[0]?.[0]).toMatchObject({ gunId: 'dray-spool', linerId: null })
    expect(
      mount(AluminiumWays, { props: { capability: capabilityFor('bay-2-wire'), demand: null, shelf } })
        .find('table')
        .exists(),
    ).toBe(false)
  })
})
