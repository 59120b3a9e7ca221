/** Volts of the arc against the plate: IEC 60974-1 rates a source at a current and its load voltage; the rest common practice. */
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { fitJob } from '../fit/fit.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import { sampleCapability, samplePowerSource, sampleSupply, sampleWire } from '../testing/equipment.ts'
import { demoInput, demoShop, joint } from '../testing/samples.ts'
import { criterionOf, mendsOf } from './index.ts'

const demo = demoShop()
type Point = SupplyRating['ratedPoints'][number]
const point = (currentA: number, loadV: number | null): Point => ({ currentA, dutyPct: 40, loadV })
const quarterInch = joint({ thicknessAMm: 6.35, thicknessBMm: 6.35, legMm: 4.7625 })

/** 0.035 spray on 1/4 in: about 215 A and 26.5 V. */
function spray(ratedPoints: Point[], outputMaxA = 300) {
  const wire = sampleWire({ diameterMm: 0.889, form: 'solid' })
  const c = sampleCapability({
    process: 'gmaw-spray',
    wire,
    powerSource: samplePowerSource({
      processes: [
        {
          family: 'gmaw',
          outputs: ['dc'],
          pulse: false,
          claimMinMm: null,
          claimMaxMm: null,
          supplies: [sampleSupply({ outputMaxA, ratedPoints })],
        },
      ],
    }),
  })
  const d = demandOf(
    { ...demoInput('press-frame').job, joints: [quarterInch] },
    'gmaw-spray',
    wire,
    demo.shop,
  )
  const found = criterionOf('arc-volts').assess(c, d)
  return { found, said: found && `${found.verdict} ${found.code}`, mends: found ? mendsOf(found, c, d) : [] }
}

describe('the arc’s own volts', () => {
  it('a plate of 210 A at 24.5 V does not carry 0.035 spray at 215 A and 26.5 V', () => {
    const { said, found, mends } = spray([point(210, 24.5), point(150, 21.5)])
    expect(said).toBe('fails short')
    // Above its highest point: 14 + 0.05 · 215.
    expect(found?.capacity).toBeCloseTo(24.75, 2)
    expect(found?.demand).toBeCloseTo(26.5, 1)
    expect(mends.map(({ code }) => code)).toEqual(['source-with-volts'])
  })
  it('within a volt it is tight, with as many it fits', () => {
    expect(spray([point(230, 25.6)]).said).toBe('tight a-little-short')
    expect(spray([point(230, 25.4)]).said).toBe('fails short')
    expect(spray([point(230, 26.6)]).said).toBe('fits measured')
  })
  it('a point of more current proves its volts at less; one of less current does not', () => {
    expect(spray([point(350, 31.5), point(200, 24)]).said).toBe('fits measured')
    expect(spray([point(200, 40), point(220, 25)]).said).toBe('fails short')
    expect(spray([]).found).toBeNull()
  })
  it('a point without volts has those of IEC 60974-1: 14 + 0.05 · I', () => {
    expect(spray([point(260, null)]).found?.capacity).toBeCloseTo(27, 9)
    expect(spray([point(260, null)]).said).toBe('fits measured')
  })
  it('is not asked of TIG, of stick, nor where a source pulses', () => {
    const asked = (jobId: string, setUpId: string) =>
      fitJob(demoInput(jobId, setUpId)).criteria.some(({ criterion }) => criterion === 'arc-volts')
    expect(asked('pressing-tray', 'bench-tig-dc')).toBe(false)
    expect(asked('loader-fork', 'yard-stick')).toBe(false)
    expect(asked('press-frame', 'bay-2-wire')).toBe(true)
  })
})
