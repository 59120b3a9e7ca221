/** A preliminary procedure sheet: what stands in each line, and what stays blank for the shop (ISO 15609-1, from memory). */
import { describe, expect, it } from 'vitest'
import { cardOf } from '../card/card.ts'
import type { FitInput } from '../fit/fit.ts'
import type { Joint } from '../kinds/job.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { procedureSheetOf } from './procedureSheet.ts'
import { speechOf } from './speech.ts'

const speech = speechOf(demoShop().shop)
function sheetOf(input: FitInput, change: Partial<Joint> = {}) {
  const [first] = input.job.joints
  if (!first) throw new Error('a job without welds')
  const one = { ...input, job: { ...input.job, joints: [{ ...first, ...change }] } }
  return procedureSheetOf(speech, cardOf(one, first.id), one)
}
const valueOf = (sheet: ReturnType<typeof sheetOf>, label: string) =>
  sheet.groups.flatMap(({ lines }) => lines).find((line) => line.label === label)?.value

const frame = () => sheetOf(demoInput('press-frame', 'bay-2-wire'))
const tray = () => sheetOf(demoInput('pressing-tray', 'bench-tig-dc'))
const fork = () => sheetOf(demoInput('loader-fork', 'yard-stick'))

describe('a procedure sheet', () => {
  it('is marked as no qualified procedure, and leaves to the shop what only it can say', () => {
    expect(frame().mark).toBe('Preliminary, not qualified')
    expect(frame().title).toMatch(/^Procedure sheet: Press frame, /)
    const blank = frame().groups.flatMap(({ lines }) => lines.filter(({ value }) => value === ''))
    expect(blank.map(({ label }) => label)).toEqual(
      expect.arrayContaining([
        'Procedure number',
        'Heat number',
        'Interpass temperature',
        'Welder and stamp',
        'Date',
      ]),
    )
    expect(frame().notes.join(' ')).toContain('qualified welder')
  })

  // ISO 4063: 135 is MAG with solid wire, D by dip transfer, 141 TIG with rod, 111 covered electrode (from memory).
  it('names the process by its number', () => {
    expect(valueOf(frame(), 'Process')).toMatch(/\(ISO 4063: 135-D\)$/)
    expect(valueOf(tray(), 'Process')).toMatch(/\(ISO 4063: 141\)$/)
    expect(valueOf(fork(), 'Process')).toMatch(/\(ISO 4063: 111\)$/)
  })

  it('has the leg of a fillet, and no leg of a groove or of a fillet that has none yet', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    expect(valueOf(sheetOf(input, { legMm: 4.7625 }), 'Size')).toMatch(/^leg /)
    const groove = sheetOf(input, { kind: 'v', includedAngleDeg: 60, legMm: 4.7625 })
    expect(valueOf(groove, 'Size')).toBe('')
    expect(valueOf(groove, 'Joint and weld')).toBe('V butt, groove (BW)')
    expect(valueOf(sheetOf(input), 'Joint and weld')).toBe('T-joint, fillet (FW)')
    // A plug is neither.
    expect(valueOf(sheetOf(input, { kind: 'plug', diameterMm: 12.7 }), 'Joint and weld')).toBe('Plug')
  })

  it('says of each process what it uses, and none of what it has no use for', () => {
    expect(valueOf(frame(), 'Shielding gas (ISO 14175)')).toMatch(/M21/)
    expect(valueOf(frame(), 'Gas flow')).toMatch(/^\d+–\d+ CFH$/)
    expect(valueOf(frame(), 'Tungsten')).toBe('none')
    expect(valueOf(frame(), 'Contact tip to work')).toMatch(/–.* in$/)
    expect(valueOf(frame(), 'Baking and drying')).not.toBe('')
    expect(valueOf(tray(), 'Tungsten')).toMatch(/in$/)
    expect(valueOf(tray(), 'Contact tip to work')).toBe('none')
    expect(valueOf(fork(), 'Shielding gas (ISO 14175)')).toBe('none')
    expect(valueOf(fork(), 'Gas flow')).toBe('none')
    expect(valueOf(fork(), 'Filler classification')).toMatch(/^E70/)
    expect(valueOf(frame(), 'Filler classification')).toBe('ER70S-6')
    expect(valueOf(frame(), 'Filler size')).toMatch(/in$/)
  })

  it('gives a fillet its leg, a groove its root, and says the backing and the purge', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    const fillet = sheetOf(input, { kind: 'tee', legMm: 6.35, thicknessAMm: 6.35, thicknessBMm: 6.35 })
    expect(valueOf(fillet, 'Joint and weld')).toMatch(/fillet \(FW\)$/)
    expect(valueOf(fillet, 'Size')).toBe('leg 1/4 in')
    expect(valueOf(fillet, 'Root opening, root face')).toBe('none')
    expect(valueOf(fillet, 'Thickness')).toBe('1/4 in')
    expect(valueOf(fillet, 'Angle')).toBe('none')
    expect(valueOf(fillet, 'Backing')).toBe('no')
    expect(valueOf(fillet, 'Back purge')).toBe('none')
    expect(valueOf(fillet, 'Outside diameter')).toBe('plate')
    const groove = sheetOf(input, {
      kind: 'v',
      legMm: null,
      rootGapMm: 3.175,
      rootFaceMm: 1.5875,
      includedAngleDeg: 60,
      thicknessAMm: 6.35,
      thicknessBMm: 9.525,
      backing: true,
      purge: true,
      diameterMm: 114.3,
    })
    expect(valueOf(groove, 'Joint and weld')).toMatch(/groove \(BW\)$/)
    expect(valueOf(groove, 'Size')).toBe('')
    expect(valueOf(groove, 'Root opening, root face')).toBe('1/8 in, 1/16 in')
    expect(valueOf(groove, 'Thickness')).toBe('1/4 in to 3/8 in')
    expect(valueOf(groove, 'Angle')).toBe('60°')
    expect(valueOf(groove, 'Backing')).toBe('yes')
    expect(valueOf(groove, 'Back purge')).toBe('argon until cool')
    expect(valueOf(groove, 'Outside diameter')).toBe('4-1/2 in')
  })

  it('names two metals where the parts differ, one where they do not, with their group', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    expect(valueOf(frame(), 'Parent material')).toMatch(/^[^(]+\(ISO\/TR 15608 group 1[^)]*\)$/)
    const mixed = sheetOf(input, { materialB: 'stainless-304' })
    expect(valueOf(mixed, 'Parent material')).toMatch(/group 1.* to .*group 8/)
  })

  it('says the preheat of the job, and none where none is planned', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    expect(valueOf(frame(), 'Preheat')).toBe('none planned')
    const warm = sheetOf({ ...input, job: { ...input.job, preheatC: 100 } })
    expect(valueOf(warm, 'Preheat')).toBe('212 °F')
  })

  it('has a row for the run, each figure a range whose ends lie about what is set', () => {
    expect(frame().runs.head).toHaveLength(6)
    const [row = []] = frame().runs.rows
    const [, amps = '', volts = '', feed = ''] = row
    const ends = (text: string): readonly number[] => text.split(' ')[0]?.split('–').map(Number) ?? []
    const [low = 0, high = 0] = ends(amps)
    // Some 190 A, 20.5 V and 340 in/min for this wire on a quarter inch (practice, see docs/practice.md).
    expect([low < 190, high > 190]).toEqual([true, true])
    expect(ends(volts)[0]).toBeLessThan(20.5)
    expect(ends(volts)[1]).toBeGreaterThan(20.5)
    expect(ends(feed)[0]).toBeLessThan(343)
    expect(ends(feed)[1]).toBeGreaterThan(343)
    expect(row[5]).toMatch(/kJ\/in$/)
    for (const text of row.slice(1)) expect(text).toMatch(/^\S+–\S+ \S+$/)
  })

  it('has a row for each kind of pass where they differ: ten per cent about each current, a volt about each voltage', () => {
    const one = demoInput('loader-fork', 'yard-cored')
    const card = cardOf(one, one.job.joints[0]?.id ?? '')
    const sheet = procedureSheetOf(speech, card, one)
    expect(card.settings.passes.length).toBeGreaterThan(1)
    expect(sheet.runs.rows).toHaveLength(card.settings.passes.length)
    for (const [at, { wantedA, voltsV, pass }] of card.settings.passes.entries()) {
      const [name = '', amps = '', volts = '', , travel = '', heat] = sheet.runs.rows[at] ?? []
      expect(name).toMatch(pass === 'root' ? /^Root/ : /^Fill/)
      const middle = (text: string) => {
        const [low = NaN, high = NaN] = text.split(' ')[0]?.split('–').map(Number) ?? []
        return { at: (low + high) / 2, wide: (high - low) / 2 }
      }
      expect(middle(amps).at).toBeCloseTo(wantedA, -0.5)
      expect(middle(amps).wide / wantedA).toBeCloseTo(0.1, 1)
      if (voltsV !== null)
        expect(middle(volts)).toMatchObject({ at: expect.closeTo(voltsV, 0), wide: expect.closeTo(1, 1) })
      expect(travel !== '').toBe(pass === 'fill')
      expect(heat).toBe('')
    }
  })
})
