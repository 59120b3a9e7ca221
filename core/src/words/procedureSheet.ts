/**
 * A preliminary procedure sheet: the facts of a card in the order of ISO 15609-1, with the items of AWS D1.1 beside them
 * (both from memory). It is a plan, not a qualified procedure: what only the shop can say is blank.
 */
import type { Card } from '../card/card.ts'
import type { FitInput } from '../fit/fit.ts'
import type { JointKind } from '../model/jointKinds.ts'
import { figure, message, type Param } from '../model/message.ts'
import { MATERIALS } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { isFillet } from '../trade/geometry.ts'
import { jointName, printPosition } from '../weldlist/words.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { spokenCard } from './spokenCard.ts'
import { capital, filled, type Speech, wordOf } from './speech.ts'

/** Neither a fillet nor a groove. */
const OTHER_KINDS: readonly JointKind[] = ['plug', 'slot', 'edge']

export interface SheetLine {
  readonly label: string
  /** Empty where the shop must enter it by hand. */
  readonly value: string
}
export interface SheetGroup {
  readonly title: string
  readonly lines: readonly SheetLine[]
}
export interface ProcedureSheet {
  readonly title: string
  readonly mark: string
  readonly groups: readonly SheetGroup[]
  /** One row a kind of pass: what is set, each as a range. */
  readonly runs: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }
  readonly notes: readonly string[]
}

/** Ten per cent of a measured figure is what a procedure usually allows (common practice, no source). */
const range = (speech: Speech, low: number, high: number, unit: string): string => {
  const said = (value: number): string =>
    filled(speech, { x: '{v}' }, message('x', { v: figure(value, unit) }))
  const [from, to] = [said(Number(low.toPrecision(3))), said(Number(high.toPrecision(3)))]
  return `${from.replace(/ \S+$/, '')}–${to}`
}

/**
 * @param input what the card was made of
 * @returns the sheet in the shop's words and units; a value that nobody knows is empty
 * @example procedureSheetOf(speech, card, input).mark // 'Preliminary, not qualified'
 */
export function procedureSheetOf(plain: Speech, card: Card, input: FitInput): ProcedureSheet {
  const speech = benchSpeechOf(plain)
  const spoken = spokenCard(speech, card)
  const { joint, settings } = card
  const { shop, job, setUp, wire, gas, tungsten, powerSource } = input
  const process = PROCESSES[setUp.process]
  const say = (param: Param): string => filled(speech, { x: '{v}' }, message('x', { v: param }))
  const mm = (value: number): string => say(figure(value, 'mm'))
  const rowOf = (place: string): string => spoken.rows.find((one) => one.place === place)?.text ?? ''
  const line = (label: string, value: string | null = ''): SheetLine => ({ label, value: value ?? '' })
  const material = (id: typeof joint.materialA): string => {
    const { name, isoGroup } = MATERIALS[id]
    return isoGroup === null ? name : `${name} (ISO/TR 15608 group ${isoGroup})`
  }
  const parents = [...new Set([joint.materialA, joint.materialB])].map(material).join(' to ')
  const { currentA, voltsV, feedMmPerMin, travelMmPerMin, outcome, polarity } = settings
  const travel =
    travelMmPerMin === null ? '' : range(speech, travelMmPerMin * 0.9, travelMmPerMin * 1.1, 'mm/min')
  const rows =
    settings.passes.length > 0
      ? settings.passes.map(({ pass, passes, wantedA, voltsV: volts, feedMmPerMin: feed }) => [
          `${capital(wordOf(speech, 'pass', pass))}, ${passes}`,
          range(speech, wantedA * 0.9, wantedA * 1.1, 'A'),
          volts === null ? '' : range(speech, volts - 1, volts + 1, 'V'),
          feed === null ? '' : range(speech, feed * 0.9, feed * 1.1, 'mm/min'),
          pass === 'fill' ? travel : '',
          '',
        ])
      : [
          [
            capital(spoken.passes),
            range(speech, currentA.low, currentA.high, 'A'),
            voltsV ? range(speech, voltsV.low, voltsV.high, 'V') : say(figure(settings.arcV, 'V')),
            feedMmPerMin ? range(speech, feedMmPerMin.low, feedMmPerMin.high, 'mm/min') : '',
            travel,
            outcome ? range(speech, outcome.heatKJPerMm * 0.8, outcome.heatKJPerMm * 1.2, 'kJ/mm') : '',
          ],
        ]
  const weldType = isFillet(joint) ? ', fillet (FW)' : OTHER_KINDS.includes(joint.kind) ? '' : ', groove (BW)'
  return {
    title: `Procedure sheet: ${job.name}, ${jointName(joint)}`,
    mark: 'Preliminary, not qualified',
    groups: [
      {
        title: 'General',
        lines: [
          line('Manufacturer', shop.name),
          line('Procedure number'),
          line('Qualification record (WPQR or PQR)'),
          line('Process', `${process.name} (ISO 4063: ${process.iso4063})`),
          line('Mode', 'manual or semi-automatic'),
          line('Standard'),
        ],
      },
      {
        title: 'Parent material and joint',
        lines: [
          line('Parent material', parents),
          line('Heat number'),
          line(
            'Thickness',
            joint.thicknessAMm === joint.thicknessBMm
              ? mm(joint.thicknessAMm)
              : `${mm(joint.thicknessAMm)} to ${mm(joint.thicknessBMm)}`,
          ),
          line('Outside diameter', joint.diameterMm === null ? 'plate' : mm(joint.diameterMm)),
          line('Joint and weld', `${jointName(joint)}${weldType}`),
          line('Size', isFillet(joint) && joint.legMm !== null ? `leg ${mm(joint.legMm)}` : ''),
          line(
            'Root opening, root face',
            isFillet(joint) ? 'none' : `${mm(joint.rootGapMm)}, ${mm(joint.rootFaceMm)}`,
          ),
          line('Angle', joint.includedAngleDeg === null ? 'none' : `${joint.includedAngleDeg}°`),
          line('Backing', joint.backing ? 'yes' : 'no'),
          line('Position', printPosition(joint, shop.ruleBook)),
          line('Preparation and cleaning', rowOf('surface')),
          line('Tack welds', rowOf('tacks')),
        ],
      },
      {
        title: 'Consumables',
        lines: [
          line('Filler classification', wire?.classification ?? 'none'),
          line('Filler size', wire ? say(figure(wire.diameterMm, 'mm diameter')) : 'none'),
          line('Filler trade name and batch'),
          line('Baking and drying', rowOf('storage') || 'not required for this filler'),
          line('Shielding gas (ISO 14175)', process.shielded ? (gas?.designation ?? '') : 'none'),
          line(
            'Gas flow',
            settings.flowLPerMin === null
              ? 'none'
              : range(speech, settings.flowLPerMin * 0.9, settings.flowLPerMin * 1.1, 'L/min'),
          ),
          line('Back purge', joint.purge ? 'argon until cool' : 'none'),
          line(
            'Tungsten',
            process.electrode === 'tungsten'
              ? tungsten
                ? `${tungsten.type}, ${say(figure(tungsten.diameterMm, 'mm diameter'))}`
                : ''
              : 'none',
          ),
        ],
      },
      {
        title: 'Electrical and technique',
        lines: [
          line('Current and polarity', wordOf(speech, 'polarity', polarity)),
          line('Power source', powerSource.name),
          line(
            'Contact tip to work',
            settings.tipToWorkMm
              ? range(speech, settings.tipToWorkMm.low, settings.tipToWorkMm.high, 'mm')
              : 'none',
          ),
          line('Gun or torch', spoken.hold),
          line('String or weave', settings.stepOverMm === null ? 'stringer' : 'stringers, stepped over'),
          line('Passes', spoken.passes),
          line('Pulse', settings.pulse && setUp.process === 'gmaw-pulse' ? 'pulsed' : 'none'),
        ],
      },
      {
        title: 'Heat',
        lines: [
          line('Preheat', job.preheatC === null ? 'none planned' : say(figure(job.preheatC, '°C'))),
          line('Interpass temperature'),
          line('Post-weld heat treatment', 'none planned'),
        ],
      },
      {
        title: 'Approval',
        lines: [line('Welder and stamp'), line('Inspector'), line('Date')],
      },
    ],
    runs: { head: ['Run', 'Current', 'Volts', 'Wire speed', 'Travel', 'Heat input'], rows },
    notes: [
      'Ranges are start settings with the shop’s bands. A test decides the ranges of a qualified procedure.',
      'Order of ISO 15609-1 with items of AWS D1.1, from memory. Check it against the standard.',
      'A structural, pressure or leak-tight weld needs a qualified procedure and a qualified welder.',
    ],
  }
}
