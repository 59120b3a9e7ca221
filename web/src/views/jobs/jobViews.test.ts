import { type Job, type Joint, planJob } from '@brannik/core'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import CountField from '../../components/CountField.vue'
import { demoJob, demoWorkspace, inputFor } from '../../testing/demo.ts'
import AdvicePanel from './AdvicePanel.vue'
import SequenceList from './SequenceList.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { pick } from '../../testing/pick.ts'

beforeEach(async () => {
  await demoWorkspace()
})

describe('a field for a count', () => {
  const field = (props: object) =>
    mount(CountField, {
      props: { label: 'Welds', least: 1, most: 60, modelValue: 4 as number | null, ...props },
    })

  it.each([
    ['0', 'from 1 to 60'],
    ['61', 'from 1 to 60'],
    ['2.5', 'whole number'],
    ['four', 'whole number'],
    ['-1', 'whole number'],
    ['', 'is empty'],
  ])('refuses “%s”', async (text, words) => {
    const wrapper = field({})
    await wrapper.get('input').setValue(text)
    expect(wrapper.get('[role=alert]').text()).toContain(words)
    expect(wrapper.emitted('update:modelValue')).toBeUndefined()
  })

  it('takes a comma for a point where decimals are meant', async () => {
    const wrapper = field({ decimals: true })
    await wrapper.get('input').setValue('2,5')
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([2.5])
  })

  // ISO 80000-1, 7.3.2 (from memory): the decimal sign is a comma or a point, as the country writes it.
  it('is printed with the mark that the shop writes before its decimals, and read again', async () => {
    const workspace = useWorkspace()
    const notation = { system: 'metric', locale: 'de-DE' } as const
    vi.spyOn(workspace, 'notation', 'get').mockReturnValue(notation)
    const wrapper = field({ decimals: true, modelValue: 20.5, most: 60.5 })
    const input = wrapper.get('input')
    expect(input.element.value).toBe('20,5')
    await input.setValue('99')
    expect(wrapper.get('[role=alert]').text()).toContain('from 1 to 60,5')
    // Nothing stands between thousands: it is typed over.
    expect(field({ decimals: true, most: 5000, modelValue: 1234.5 }).get('input').element.value).toBe(
      '1234,5',
    )
  })

  it('may be empty where empty means something', async () => {
    const wrapper = field({ optional: 'auto' })
    await wrapper.get('input').setValue('')
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([null])
    expect(wrapper.get('input').attributes('placeholder')).toBe('auto')
  })
})

describe('advice on a weld', () => {
  const advice = (jobId: string, index: number, change: Partial<Joint> = {}, job: Partial<Job> = {}) => {
    const input = inputFor(jobId)
    const joint = input.job.joints[index]
    if (!joint) throw new Error('no such weld')
    return mount(AdvicePanel, {
      props: {
        job: { ...input.job, ...job },
        joint: { ...joint, ...change },
        plan: planJob(inputFor(jobId)),
        setUp: input.setUp,
        wire: input.wire,
      },
    })
  }

  it('shows what a leg costs against the table’s least; too large is one beyond the shop’s rule', async () => {
    const wrapper = advice('press-screw-post', 1)
    expect(wrapper.text()).not.toContain('over-welded')
    expect(wrapper.get('.over-words').text()).toMatch(
      /^2\.8 times the metal of 3\/16 in: .* about \$\d+\.\d\d of wire and time\.$/,
    )
    const shopRule = { quality: 'ordinary', sizing: 'bead-as-wide' } as const
    const wide = advice('press-screw-post', 1, { legMm: 12 }, shopRule)
    expect(wide.text()).toContain('over-welded')
    await wide.get('button').trigger('click')
    expect(wide.emitted('leg')).toEqual([[expect.closeTo(9.525 / Math.SQRT2, 9)]])
  })

  it('shows fillers with their reasons and those that are excluded', () => {
    const text = advice('tank-manifold', 0).text()
    expect(text).toContain('ER316L')
    expect(text).toContain('not ER308L')
    expect(text).toContain('hexavalent chromium')
  })

  it('says what do not weld', () => {
    expect(advice('press-frame', 0, { materialB: 'aluminium-7075' }).text()).toContain('do not weld')
    expect(advice('press-frame', 0, { materialA: 'cast-iron', materialB: 'cast-iron' }).text()).toContain(
      'needs a procedure',
    )
  })

  it('follows service and anodising', () => {
    const hot = advice('picking-platform', 0, {}, { serviceTemperatureC: 90 })
    expect(hot.text()).toContain('not ER5356')
    expect(advice('picking-platform', 0, {}, { anodised: true }).text()).toContain('not ER4043')
  })

  it('lists the current by each process of the metal, the set-up’s marked', () => {
    const wrapper = advice('press-frame', 0)
    expect(wrapper.findAll('tbody tr')).toHaveLength(7)
    expect(wrapper.findAll('tbody tr')[2]?.text()).toContain('MIG, pulsed')
    expect(wrapper.get('tr.chosen').text()).toContain('from 153 A')
    expect(wrapper.get('tr.chosen').text()).toContain('MIG, short-circuit')
  })
})

describe('the order of welding', () => {
  const list = (jobId: string) =>
    mount(SequenceList, { props: { job: demoJob(jobId), plan: planJob(inputFor(jobId)) } })

  it('lists the welds with their times, and adds them up for piece and batch', () => {
    const wrapper = list('tank-manifold')
    expect(wrapper.findAll('li')).toHaveLength(4)
    expect(wrapper.get('.total').text()).toMatch(
      /48 min a piece\. The job takes 1 h 44 min:.* arc,.* tacking,.* handling, 8 min 30 s changeover/,
    )
  })

  it('move weld by its buttons, not past the ends', async () => {
    const wrapper = list('tank-manifold')
    const moves = wrapper.findAll('.moves button')
    expect(moves[0]?.attributes('disabled')).toBeDefined()
    expect(moves.at(-1)?.attributes('disabled')).toBeDefined()
    await moves[1]?.trigger('click')
    expect(wrapper.emitted('move')).toEqual([[0, 1]])
  })

  it('takes a weld’s own times, handling and order', async () => {
    const wrapper = list('tank-manifold')
    await wrapper.get('[aria-label="Tack time of weld 2, s"]').setValue('90')
    await wrapper.get('[aria-label="Handling after weld 1, s"]').setValue('30')
    expect(wrapper.emitted('joint')).toEqual([
      ['branch', { tackS: 90 }, 'tacking'],
      ['girth', { repositionS: 30 }, 'repositioning'],
    ])
    await pick(wrapper, 'Handling', 'hoisted')
    await pick(wrapper, 'Order', 'weld-by-weld')
    expect(wrapper.emitted('job')).toEqual([
      [{ handling: 'hoisted' }, 'handling'],
      [{ order: 'weld-by-weld' }, 'order'],
    ])
  })
})
