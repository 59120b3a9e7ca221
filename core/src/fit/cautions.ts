/** What the owner must be told where this decision is made: what can hurt somebody. */
import { QUALITY } from '../model/quality.ts'
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { figure, message, type Message } from '../model/message.ts'
import { coveredClassOf } from '../reference/coveredElectrodes.ts'
import { lensShade, LENS_SHADE_SOURCE } from '../reference/lensShades.ts'
import { MATERIALS } from '../reference/materials.ts'

/** @returns codes in the order in which they are shown; words give each its topic and sentence */
export function cautionsFor(
  {
    process,
    tungsten,
    powerSource,
    wire,
    generator,
    powerFeed,
    rules,
    circuit,
    supplyPanels,
    shop,
  }: Capability,
  { hungriest, job }: Demand,
): readonly Message[] {
  const shade = lensShade(process.family, hungriest.wantedA)
  const metals = new Set(job.joints.flatMap(({ materialA, materialB }) => [materialA, materialB]))
  const fumes = new Set([...metals].flatMap((id) => MATERIALS[id].caution ?? []))
  const isTig = process.family === 'gtaw'
  const isStick = process.electrode === 'covered'
  const isLowHydrogen =
    isStick && wire !== null && coveredClassOf(wire.classification)?.isLowHydrogen === true
  const cautions: readonly (Message | false)[] = [
    shade
      ? message('eyes', {
          least: figure(shade.least, ''),
          suggested: figure(shade.suggested, ''),
          source: LENS_SHADE_SOURCE.text,
        })
      : message('eyes-unknown', {
          current: figure(hungriest.wantedA, 'A'),
          source: LENS_SHADE_SOURCE.text,
        }),
    message('power'),
    ...(circuit && generator === null ? rules.remarks(circuit, supplyPanels) : []).map((remark) =>
      message(remark),
    ),
    (generator !== null || powerFeed?.kind === 'engine') && message('generator-outdoors'),
    generator !== null &&
      generator.steadyWave !== true &&
      message('rough-wave', { source: powerSource?.name ?? '', generator: generator.name }),
    powerSource?.typical === true && message('typical-plate', { source: powerSource.name }),
    ...[...fumes].map((fume) => message('fumes', { fume })),
    message(process.shielded ? 'gas' : isStick ? 'stick-smoke' : 'smoke'),
    isTig && message('live-torch'),
    isStick && message('live-holder'),
    !process.feedsWire && powerSource?.vrd !== true && job.place !== 'indoors' && message('damp'),
    isLowHydrogen && message('keep-dry'),
    isTig && powerSource?.start.includes('high-frequency') === true && message('high-frequency'),
    tungsten?.type === 'WTh20' && message('thorium'),
    QUALITY[job.quality].isApproved &&
      message(
        QUALITY[job.quality].isEuropean || shop.filletRule === 'en-1993' ? 'approval-european' : 'approval',
      ),
    process.feedsWire && message('live-wire'),
  ]
  return cautions.filter((caution) => caution !== false)
}
