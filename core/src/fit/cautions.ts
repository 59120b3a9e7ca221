/** What the owner must be told where this decision is made: what can hurt somebody. */
import { QUALITY } from '../model/quality.ts'
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { figure, told, type Told } from '../model/told.ts'
import { coveredClassOf } from '../reference/coveredElectrodes.ts'
import { lensShade, LENS_SHADE_SOURCE } from '../reference/lensShades.ts'
import { MATERIALS } from '../reference/materials.ts'

/** @returns codes in the order in which they are shown; words give each its topic and sentence */
export function cautionsFor(
  { process, tungsten, powerSource, wire, generator, hangsOn, rules, circuit, feeders, shop }: Capability,
  { hungriest, job }: Demand,
): readonly Told[] {
  const shade = lensShade(process.family, hungriest.wantedA)
  const metals = new Set(job.joints.flatMap(({ materialA, materialB }) => [materialA, materialB]))
  const fumes = new Set([...metals].flatMap((id) => MATERIALS[id].caution ?? []))
  const isTig = process.family === 'gtaw'
  const isStick = process.electrode === 'covered'
  const isLowHydrogen =
    isStick && wire !== null && coveredClassOf(wire.classification)?.isLowHydrogen === true
  const cautions: readonly (Told | false)[] = [
    shade
      ? told('eyes', {
          least: figure(shade.least, ''),
          suggested: figure(shade.suggested, ''),
          source: LENS_SHADE_SOURCE.text,
        })
      : told('eyes-unknown', {
          current: figure(hungriest.wantedA, 'A'),
          source: LENS_SHADE_SOURCE.text,
        }),
    told('power'),
    ...(circuit && generator === null ? rules.remarks(circuit, feeders) : []).map((remark) => told(remark)),
    (generator !== null || hangsOn?.kind === 'engine') && told('generator-outdoors'),
    generator !== null &&
      generator.steadyWave !== true &&
      told('rough-wave', { source: powerSource?.name ?? '', generator: generator.name }),
    powerSource?.typical === true && told('typical-plate', { source: powerSource.name }),
    ...[...fumes].map((fume) => told('fumes', { fume })),
    told(process.shielded ? 'gas' : isStick ? 'stick-smoke' : 'smoke'),
    isTig && told('live-torch'),
    isStick && told('live-holder'),
    !process.feedsWire && powerSource?.vrd !== true && job.place !== 'indoors' && told('damp'),
    isLowHydrogen && told('keep-dry'),
    isTig && powerSource?.start.includes('high-frequency') === true && told('high-frequency'),
    tungsten?.type === 'WTh20' && told('thorium'),
    QUALITY[job.quality].isApproved &&
      told(
        QUALITY[job.quality].isEuropean || shop.filletRule === 'en-1993' ? 'approval-european' : 'approval',
      ),
    process.feedsWire && told('live-wire'),
  ]
  return cautions.filter((caution) => caution !== false)
}
