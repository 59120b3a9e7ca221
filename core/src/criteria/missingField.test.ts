/** No unknown is a dead end: what is missing is written somewhere, in a field that there is. */
import { describe, expect, it } from 'vitest'
import { fieldsOf } from '../kinds/records.ts'
import { factsOf } from '../kinds/facts.ts'
import type { RecordKind } from '../kinds/index.ts'
import { PART_KINDS } from '../kinds/slots.ts'
import { word } from '../model/message.ts'
import { describeFields, flatFields } from '../model/describe.ts'
import { supplyRatingSchema } from '../kinds/powerSource.ts'
import { ENGLISH } from '../words/english/index.ts'
import { missingFieldOf } from './missingField.ts'

const LEFT_OPEN = ['wire-stock', 'gas-left', 'tungsten-stock', 'hours']
const labelsOf = (kind: Parameters<typeof fieldsOf>[0], part?: string): string[] =>
  flatFields(fieldsOf(kind, part)).map(({ label }) => label)
const titleOf = (kind: RecordKind): string => factsOf(kind).counting?.meta.title ?? ''
const LABELS = {
  powerSource: [...labelsOf('power-source'), ...describeFields(supplyRatingSchema).map(({ label }) => label)],
  feed: labelsOf('feeder'),
  gun: labelsOf('gun'),
  wire: [...labelsOf('wire'), titleOf('wire')],
  gas: [...labelsOf('gas'), titleOf('gas')],
  tungsten: [...labelsOf('tungsten'), titleOf('tungsten')],
  circuit: labelsOf('circuit'),
  job: labelsOf('job'),
  'set-up': labelsOf('set-up'),
} as Record<string, readonly string[]>
const PARTS = PART_KINDS.flatMap((kind) => labelsOf('part', kind))

describe('where what is missing is written', () => {
  it.each([...Object.keys(ENGLISH.missing), ...LEFT_OPEN])('%s', (code) => {
    const settling = missingFieldOf({ criterion: 'tip-class', code, params: {} })
    expect(settling).not.toBeNull()
    if (settling && settling.field !== null) expect(LABELS[settling.at] ?? PARTS).toContain(settling.field)
  })

  it('tells the connector of a gun from that of a torch', () => {
    const at = (holder: string) =>
      missingFieldOf({
        criterion: 'connector',
        code: 'machine-connector',
        params: { holder: word('holder', holder) },
      })
    expect(at('gun')).toEqual({ at: 'feed', field: 'Gun connector' })
    expect(at('torch')).toEqual({ at: 'powerSource', field: 'Torch connector' })
    expect(LABELS['feed']).toContain('Gun connector')
    expect(LABELS['powerSource']).toContain('Gun connector')
  })
})
