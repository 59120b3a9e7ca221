import { type Job, type Joint, planJob } from '@brannik/core'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { ChoiceField } from '../../testing/choiceStub.ts'
import { pick } from '../../testing/pick.ts'
import { demoWorkspace, inputFor } from '../../testing/demo.ts'
import FitInputs from '../fit/FitInputs.vue'
import JobHeader from './JobHeader.vue'
import WeldTable from './WeldTable.vue'
import { IMPERIAL } from '../../testing/notation.ts'

let workspace: Awaited<ReturnType<typeof demoWorkspace>>['workspace']
beforeEach(async () => {
  workspace = (await demoWorkspace()).workspace
})

const table = (jobId = 'press-screw-post') => {
  const input = inputFor(jobId)
  return mount(WeldTable, {
    props: {
      joints: input.job.joints,
      selected: null,
      notation: IMPERIAL,
      plan: planJob(input),
      unsized: new Set<string>(),
    },
  })
}

describe('the weld lines', () => {
  const cell = (wrapper: ReturnType<typeof table>, name: string) =>
    wrapper.get<HTMLInputElement>(`input[aria-label="${name}"]`)

  it('print each weld as it is written, with its current and metal', () => {
    const wrapper = table()
    expect(wrapper.findAll('[data-row]')).toHaveLength(3)
    expect(cell(wrapper, 'Welds of weld 1').element.value).toBe('2 × 10 in')
    expect(cell(wrapper, 'Joint of weld 1').element.value).toBe('Double bevel 45')
    expect(cell(wrapper, 'Parts of weld 1').element.value).toBe('1/2 in steel to 3/4 in')
    expect(cell(wrapper, 'Size of weld 3').element.value).toBe('od 1-1/2 in')
    expect(wrapper.get('[data-row="1"]').text()).toContain('2.92 lb')
  })

  it('give the changed weld, whole and valid', async () => {
    const wrapper = table()
    await cell(wrapper, 'Joint of weld 2').setValue('V 70')
    const [[joint] = [], what] = wrapper.emitted<[readonly Joint[], string]>('change')?.[0] ?? []
    expect(joint).toMatchObject({ id: 'stiffener', kind: 'v', includedAngleDeg: 70, legMm: null })
    expect(what).toBe('joint')
  })

  it('do not give a weld that could not stand', async () => {
    const wrapper = table()
    await cell(wrapper, 'Joint of weld 1').setValue('bevel 95')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(wrapper.get('[role=alert]').text()).toContain('A bevel is below 90')
  })

  it('take a size that contradicts the parts, and say so on the line until one of them is changed', async () => {
    const wrapper = table()
    await cell(wrapper, 'Size of weld 1').setValue('face 3/4')
    const [[joint] = []] = wrapper.emitted<[readonly Joint[], string]>('change')?.at(-1) ?? []
    expect(joint?.rootFaceMm).toBeCloseTo(19.05, 6)
    const joints = [joint as Joint, ...wrapper.props('joints').slice(1)]
    await wrapper.setProps({ joints })
    expect(wrapper.get('[role=alert]').text()).toContain('A root face of 3/4 in leaves no groove')
    await wrapper.setProps({ joints: [{ ...(joint as Joint), rootFaceMm: 0 }, ...joints.slice(1)] })
    await cell(wrapper, 'Size of weld 1').trigger('blur')
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })

  it('open the working of a figure, and delete a weld but not the last', async () => {
    const wrapper = table()
    await wrapper.get('[aria-label*="metal of weld 2"]').trigger('click')
    await wrapper.get('[aria-label="Delete weld 3"]').trigger('click')
    expect(wrapper.emitted('open')).toEqual([['stiffener', 'metal']])
    expect(wrapper.emitted('remove')).toEqual([[['brace']]])
    expect(table('press-frame').get('[aria-label="Delete weld 1"]').attributes('disabled')).toBeDefined()
  })

  it('go on to a new weld after the last, and move one by Alt and an arrow', async () => {
    const wrapper = table()
    await cell(wrapper, 'Size of weld 3').trigger('keydown', { key: 'Enter' })
    await cell(wrapper, 'Size of weld 2').trigger('keydown', { key: 'ArrowUp', altKey: true })
    await cell(wrapper, 'Size of weld 1').trigger('keydown', { key: 'ArrowUp', altKey: true })
    expect(wrapper.emitted('add')).toEqual([[2]])
    expect(wrapper.emitted('move')).toEqual([[1, 0]])
  })
})

describe('several weld lines at once', () => {
  const press = (wrapper: ReturnType<typeof table>, number: number, shiftKey = false) =>
    wrapper.get(`[aria-label="Pick weld ${number}"]`).trigger('click', { shiftKey })
  const button = (wrapper: ReturnType<typeof table>, words: string) => {
    const found = wrapper.findAll('button').find((one) => one.text() === words)
    if (!found) throw new Error(`no button ${words}`)
    return found
  }

  it('change one field of all that are picked, in one step', async () => {
    const wrapper = table()
    await press(wrapper, 1)
    await press(wrapper, 3, true)
    expect(wrapper.get('[aria-label="Picked welds"]').text()).toContain('3 picked')
    await wrapper.get('[aria-label="Position of the picked welds"]').setValue('4F')
    await wrapper.get('form').trigger('submit')
    const [joints, what] = wrapper.emitted<[readonly Joint[], string]>('change')?.[0] ?? []
    expect(joints?.map(({ position }) => position)).toEqual(['overhead', 'overhead', 'overhead'])
    expect(what).toBe('position of 3 welds')
    expect(wrapper.emitted('change')).toHaveLength(1)
  })

  it('change none where one cannot be so, and say which', async () => {
    const wrapper = table()
    await press(wrapper, 1)
    await press(wrapper, 2)
    await wrapper.get('[aria-label="Position of the picked welds"]').setValue('sideways')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(wrapper.get('.picks [role=alert]').text()).toMatch(/Weld 1 cannot be so.*sideways.*Nor can 1 more/)
  })

  it('are duplicated and deleted together, and let go one by one', async () => {
    const wrapper = table()
    await press(wrapper, 2)
    await press(wrapper, 3)
    await button(wrapper, 'Duplicate').trigger('click')
    expect(wrapper.emitted('duplicate')).toEqual([[['stiffener', 'brace']]])
    await press(wrapper, 2)
    await button(wrapper, 'Delete').trigger('click')
    expect(wrapper.emitted('remove')).toEqual([[['brace']]])
    await button(wrapper, 'Clear').trigger('click')
    expect(wrapper.find('.picks').exists()).toBe(false)
  })

  it('forget what is deleted meanwhile', async () => {
    const wrapper = table()
    await press(wrapper, 3)
    await wrapper.setProps({ joints: wrapper.props('joints').slice(0, 2) })
    expect(wrapper.find('.picks').exists()).toBe(false)
  })

  it('pasted as rows are given on, a single cell is not', async () => {
    const wrapper = table()
    const paste = (text: string) =>
      wrapper
        .get('input[aria-label="Size of weld 2"]')
        .trigger('paste', { clipboardData: { getData: () => text } })
    await paste('3/16')
    expect(wrapper.emitted('paste')).toBeUndefined()
    await paste('4 x 6 in\tT\n')
    expect(wrapper.emitted('paste')).toEqual([['4 x 6 in\tT\n', 1]])
  })

  it('by Ctrl D in a cell the weld is duplicated', async () => {
    const wrapper = table()
    await wrapper.get('input[aria-label="Size of weld 2"]').trigger('keydown', { key: 'd', ctrlKey: true })
    expect(wrapper.emitted('duplicate')).toEqual([[['stiffener']]])
  })

  it('of a new weld the leg follows the parts until a size is typed', async () => {
    const wrapper = table()
    const [, second] = wrapper.props('joints')
    const fillet = { ...second, kind: 'tee', legMm: 3.175, thicknessAMm: 3.175, thicknessBMm: 3.175 } as Joint
    await wrapper.setProps({ joints: [fillet], unsized: new Set([fillet.id]) })
    await wrapper.get('input[aria-label="Parts of weld 1"]').setValue('1/4')
    const [[joint] = []] = wrapper.emitted<[readonly Joint[], string]>('change')?.at(-1) ?? []
    expect(joint?.legMm).toBeCloseTo(6.35, 6)
    await wrapper.get('input[aria-label="Size of weld 1"]').setValue('3/16')
    expect(wrapper.emitted('size')?.at(-1)).toEqual([fillet.id])
  })
})

describe('the head of a job', () => {
  const header = (part: Partial<Job> = {}) =>
    mount(JobHeader, {
      props: { job: { ...inputFor('loader-fork').job, ...part } },
      global: { stubs: { ChoiceField } },
    })
  const field = (wrapper: ReturnType<typeof header>, label: string) => {
    const found = wrapper.findAll('.label').find((one) => one.text() === label)
    const input = found?.element.closest('.frame')?.querySelector('input')
    if (!input) throw new Error(`no field ${label}`)
    return input as HTMLInputElement
  }
  const change = async (wrapper: ReturnType<typeof header>, label: string, value: string) => {
    const input = field(wrapper, label)
    input.value = value
    input.dispatchEvent(new Event('input', { bubbles: true }))
    await wrapper.vm.$nextTick()
    return wrapper.emitted<[Partial<Job>, string]>('change')?.at(-1)?.[0]
  }

  it('shows wind and service in the shop’s units and keeps them in km/h and °C', async () => {
    const wrapper = header({ serviceTemperatureC: 100 })
    expect(field(wrapper, 'Wind, mph').value).toBe('9.9')
    expect(field(wrapper, 'Service, °F').value).toBe('212')
    expect(await change(wrapper, 'Wind, mph', '5')).toEqual({ windKmPerH: expect.closeTo(8.04672, 6) })
    expect(await change(wrapper, 'Service, °F', '32')).toEqual({ serviceTemperatureC: 0 })
    expect(await change(wrapper, 'Wind, mph', '')).toEqual({ windKmPerH: null })
  })

  it('asks for wind outdoors only', () => {
    expect(header({ place: 'indoors' }).text()).not.toContain('Wind')
  })

  it('refuses an empty name, and takes a date or none', async () => {
    const wrapper = header({ dueOn: '2027-01-31' })
    await change(wrapper, 'Job', '   ')
    expect(wrapper.get('[role=alert]').text()).toContain('The name is empty')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(await change(wrapper, 'Due', 'May 1, 2027')).toEqual({ dueOn: '2027-05-01' })
    expect(await change(wrapper, 'Due', '')).toEqual({ dueOn: null })
  })

  it('chooses place, quality and school', async () => {
    const wrapper = header()
    await pick(wrapper, 'Place', 'indoors')
    await pick(wrapper, 'Quality', 'code-bound')
    await pick(wrapper, 'Fillets sized by', 'bead-as-wide')
    expect(wrapper.emitted('change')).toEqual([
      [{ place: 'indoors' }, 'place'],
      [{ quality: 'code-bound' }, 'quality'],
      [{ sizing: 'bead-as-wide' }, 'sizing'],
    ])
  })
})

describe('the inputs of a fit', () => {
  const inputs = (jobId: string, index = 0) => {
    const { job, setUp } = inputFor(jobId)
    const joint = job.joints[index]
    if (!joint) throw new Error('no such weld')
    return mount(FitInputs, {
      props: { job, joint, setUp, isAnswered: true, shelf: workspace.shelf },
      global: { stubs: { ChoiceField } },
    })
  }
  const labels = (wrapper: ReturnType<typeof inputs>) => [
    ...wrapper.findAll('label').map((label) => label.text()),
    ...wrapper.findAll('[data-choice]').map((one) => one.attributes('data-choice')),
  ]

  it('are those of the process and of the weld', () => {
    expect(labels(inputs('press-frame'))).toEqual([
      'Thickness',
      'Other part',
      'Leg',
      'Welds',
      'Each long',
      'Passes',
      'Rest, s',
      'Circuit',
      'Wire',
      'Gas',
    ])
    expect(labels(inputs('pressing-tray'))).toEqual(
      expect.arrayContaining(['Root opening', 'Rod', 'Tungsten', 'Cup']),
    )
    expect(labels(inputs('loader-fork'))).not.toContain('Gas')
    expect(labels(inputs('tank-manifold', 2))).toContain('Round')
  })

  it('change both parts while they are alike, and one once they differ', async () => {
    const alike = inputs('press-frame')
    await alike.findAll('input')[0]?.setValue('3/8')
    expect(alike.emitted('joint')?.at(-1)).toEqual([
      { thicknessAMm: expect.closeTo(9.525, 9), thicknessBMm: expect.closeTo(9.525, 9) },
      'thickness',
    ])
    const apart = inputs('tank-manifold', 2)
    await apart.findAll('input')[0]?.setValue('1/8')
    expect(apart.emitted('joint')?.at(-1)).toEqual([{ thicknessAMm: expect.closeTo(3.175, 9) }, 'thickness'])
  })

  it('take another circuit, wire or gas into the set-up', async () => {
    const wrapper = inputs('press-frame')
    for (const [label, id] of [
      ['Circuit', 'bay-2'],
      ['Wire', 'er70s6-030'],
      ['Gas', 'co2'],
    ]) {
      await wrapper.get(`[data-choice="${label}"]`).setValue(id)
    }
    expect(wrapper.emitted('setUp')).toEqual([
      [{ circuitId: 'bay-2' }, 'circuit'],
      [{ wireId: 'er70s6-030' }, 'wire'],
      [{ gasId: 'co2' }, 'gas'],
    ])
  })
})
