import type { Chain, Joint } from '@brannik/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoJob, demoWorkspace, fitFor } from '../testing/demo.ts'
import ArcStrip from './ArcStrip.vue'
import ChainChart from './ChainChart.vue'
import ChainSpark from './ChainSpark.vue'
import MarginBar from './MarginBar.vue'
import SectionDrawing from './SectionDrawing.vue'

beforeEach(async () => {
  await demoWorkspace()
})

const chainOf = (jobId: string, setUpId?: string): Chain => {
  const [chain] = fitFor(jobId, setUpId).chains
  if (!chain) throw new Error('no chain')
  return chain
}
const numberOf = (element: Element | undefined, name: string): number => Number(element?.getAttribute(name))

describe('the chain', () => {
  const chart = (chain: Chain) => mount(ChainChart, { props: { chain, jointDetail: '3/16 in to heat' } })

  it('draws a bar a link, the short ones with how much they lack, and names the first', () => {
    const wrapper = chart(chainOf('press-frame'))
    expect(wrapper.findAll('.bar')).toHaveLength(4)
    expect(wrapper.findAll('.bar.fails')).toHaveLength(2)
    expect(wrapper.findAll('.gap text').map((text) => text.text())).toEqual(['−11 A', '−12 A'])
    expect(wrapper.get('.name.first').text()).toContain('Power source')
    expect(wrapper.get('.name.first').text()).toContain('weakest link')
  })

  it('draws what rest lets a link carry, and says which link sets the pace', () => {
    const wrapper = chart(chainOf('press-frame', 'bench-tig-ac'))
    expect(wrapper.findAll('.rested').length).toBeGreaterThan(0)
    expect(wrapper.get('.name.first').text()).toContain('limits the pace')
    expect(chart(chainOf('press-frame', 'bay-2-wire')).get('.name.first').text()).toContain('weakest link')
  })

  it('gives a part that is too thick to burn through no upper end', () => {
    expect(chart(chainOf('press-frame')).get('.joint').text()).toBe('152 or more')
    expect(chart(chainOf('tank-manifold')).get('.joint').text()).toBe('92–155 range')
  })

  it('puts what carries more higher, and the line of what is wanted above every short bar', () => {
    const wrapper = chart(chainOf('press-frame'))
    const line = numberOf(wrapper.get('.wanted').element, 'y1')
    for (const bar of wrapper.findAll('.bar.fails .fill'))
      expect(numberOf(bar.element, 'y')).toBeGreaterThan(line)
    for (const bar of wrapper.findAll('.bar.fits .fill'))
      expect(numberOf(bar.element, 'y')).toBeLessThan(line)
  })

  it('says the figures in words for whoever does not see the bars', () => {
    expect(chart(chainOf('press-frame')).text()).toContain('carries 25 to 103 A: fails')
  })

  it('marks a link that nobody knows, without a bar of its own', () => {
    const chain = chainOf('press-frame')
    const unknown = {
      ...chain,
      links: chain.links.map((link, i) =>
        i === 2 ? { ...link, lowA: null, highA: null, verdict: 'unknown' as const } : link,
      ),
    }
    const wrapper = chart(unknown)
    expect(wrapper.get('.question').text()).toBe('?')
    expect(wrapper.text()).toContain('no data')
  })

  it('tells how far the low end is too high', () => {
    const wrapper = chart(chainOf('pressing-tray', 'bench-tig-316'))
    expect(wrapper.findAll('.gap.tight text').map((text) => text.text())).toEqual(['+16 A'])
  })

  it('opens a link and the joint', async () => {
    const wrapper = chart(chainOf('press-frame'))
    const names = wrapper.findAll('.name')
    await names[2]?.trigger('click')
    await names[4]?.trigger('click')
    expect(wrapper.emitted('open')).toEqual([['gun'], ['joint']])
  })

  it('stands small in a cell with its verdicts in words', () => {
    const wrapper = mount(ChainSpark, { props: { chain: chainOf('press-frame') } })
    expect(wrapper.attributes('aria-label')).toBe(
      'Circuit: Fails, Power source: Fails, Gun: Fits, Wire: Fits',
    )
    expect(wrapper.findAll('rect')).toHaveLength(4)
  })
})

describe('a margin', () => {
  const bar = (marginPct: number | null) => mount(MarginBar, { props: { marginPct, verdict: 'fits' } })
  it.each([
    [-24, '−24 %'],
    [4.8, '+4.8 %'],
    [119, '+119 %'],
    [999, 'ample'],
    [null, ''],
  ])('%s reads “%s”', (marginPct, words) => {
    expect(bar(marginPct).get('.words').text()).toBe(words)
  })

  it('grows to the right above its demand and to the left below it', () => {
    const zero = numberOf(bar(0).get('.zero').element, 'x1')
    expect(numberOf(bar(40).get('rect').element, 'x')).toBe(zero)
    expect(numberOf(bar(-40).get('rect').element, 'x')).toBeLessThan(zero)
    expect(numberOf(bar(30).get('rect').element, 'width')).toBeLessThan(
      numberOf(bar(50).get('rect').element, 'width'),
    )
    expect(bar(null).find('rect').exists()).toBe(false)
  })
})

describe('a section', () => {
  const drawing = (joint: Joint | undefined) => {
    if (!joint) throw new Error('no joint')
    return mount(SectionDrawing, { props: { joint } })
  }
  const joints = [
    'press-frame',
    'tank-manifold',
    'loader-fork',
    'press-screw-post',
    'picking-platform',
  ].flatMap((id) => demoJob(id).joints)

  it('draws weld and parts of every joint of the demo inside its frame, and says its figures', () => {
    for (const joint of joints) {
      const wrapper = drawing(joint)
      expect(wrapper.findAll('.weld').length, joint.id).toBeGreaterThan(0)
      expect(wrapper.html()).not.toContain('NaN')
      const label = wrapper.get('svg').attributes('aria-label') ?? ''
      expect(label).toContain('Cross-section')
      for (const text of wrapper.findAll('.dimension text')) expect(label).toContain(text.text())
    }
  })

  it('is to scale: twice the leg is as long against the plate', () => {
    const [joint] = demoJob('press-frame').joints
    if (!joint) throw new Error('no joint')
    const legs = (one: Joint) => {
      const lines = drawing(one).findAll('.dimension line')
      const length = (index: number) => {
        const element = lines[index]?.element
        return Math.hypot(
          numberOf(element, 'x2') - numberOf(element, 'x1'),
          numberOf(element, 'y2') - numberOf(element, 'y1'),
        )
      }
      return length(0) / length(1)
    }
    expect(legs({ ...joint, legMm: 4, legBMm: 8 })).toBeCloseTo(0.5, 2)
  })

  it('writes the angle of a groove and the round of a tube', () => {
    expect(drawing(demoJob('loader-fork').joints[0]).text()).toContain('V butt, 60°, to scale')
    expect(drawing(demoJob('tank-manifold').joints[0]).text()).toContain('round 1.9 in')
  })
})

describe('when the arc burns', () => {
  it('is a strip of tacks and arcs over at least ten minutes', async () => {
    const fit = fitFor('tank-manifold')
    const wrapper = mount(ArcStrip, {
      props: { sequence: fit.sequence, joints: demoJob('tank-manifold').joints },
    })
    await flushPromises()
    const arcs = fit.sequence.flatMap(({ arcs: all }) => all).reduce((sum, { times }) => sum + times, 0)
    expect(wrapper.findAll('.arc:not(.tack)')).toHaveLength(arcs)
    expect(wrapper.findAll('.tack')).toHaveLength(4)
    expect(wrapper.get('svg').attributes('aria-label')).toContain(`${arcs} over`)
    expect(wrapper.text()).toContain('10 min')
  })
})
