/** Drive rolls, liners, tips, and the parts of a TIG torch, by what they are for and not by maker. */
import type { Part } from '../kinds/equipment.ts'
import { commonPractice, handbook, type Source, standard } from '../basis/source.ts'
import { idOf, type LibraryEntry, TUNGSTEN_SIZES, WIRE_SIZES } from './entry.ts'
import { HEADS } from './torches.ts'

const PRACTICE = commonPractice('usual sizes, common practice, no source')
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')

/** What a part has besides its kind, its name and its figures. */
const BLANK = { held: 'candidate', price: null } as const

const entry = (record: Part, summary: string, source: Source = PRACTICE): LibraryEntry<'parts'> => ({
  path: 'parts',
  record,
  summary,
  source,
})

const GROOVES = [
  {
    groove: 'v-smooth',
    word: 'Smooth V',
    summary: 'solid steel and stainless',
    sizes: ['0.6', '0.8', '0.9', '1.0', '1.2', '1.6'],
  },
  { groove: 'v-knurled', word: 'Knurled V', summary: 'cored wire', sizes: ['0.8', '0.9', '1.2', '1.6'] },
  { groove: 'u', word: 'U', summary: 'aluminium', sizes: ['0.8', '0.9', '1.0', '1.2al', '1.6'] },
] as const

const rolls = GROOVES.flatMap(({ groove, word, summary, sizes }) =>
  sizes.map((key) => {
    const { mm, inch, metric } = WIRE_SIZES[key]
    return entry(
      {
        kind: 'drive-roll',
        id: idOf('lib roll', groove, metric),
        name: `${word} roll ${inch}`,
        ...BLANK,
        grooves: [{ form: groove, wireMinMm: mm, wireMaxMm: mm }],
        rollSystem: null,
      },
      summary,
      ROLLS,
    )
  }),
)

const LINERS = [
  { material: 'steel', word: 'Steel', from: '0.6', to: '0.9', summary: 'steel wire' },
  { material: 'steel', word: 'Steel', from: '0.9', to: '1.2', summary: 'steel wire' },
  { material: 'steel', word: 'Steel', from: '1.2', to: '1.6', summary: 'steel wire' },
  { material: 'polymer', word: 'PTFE', from: '0.8', to: '1.0', summary: 'aluminium; also stainless' },
  { material: 'polymer', word: 'PTFE', from: '1.0', to: '1.6', summary: 'aluminium; also stainless' },
  { material: 'graphite', word: 'Graphite', from: '0.8', to: '1.2', summary: 'aluminium' },
] as const
const LINER_LENGTHS_MM = [3100, 4100, 5100] as const

const liners = LINERS.flatMap(({ material, word, from, to, summary }) =>
  LINER_LENGTHS_MM.map((lengthMm) => {
    const [least, most] = [WIRE_SIZES[from], WIRE_SIZES[to]]
    return entry(
      {
        kind: 'liner',
        id: idOf('lib liner', material, least.metric, most.metric, `${lengthMm}`),
        name: `${word} liner ${least.inch} to ${most.inch}, ${lengthMm / 1000} m`,
        ...BLANK,
        material,
        wireMinMm: least.mm,
        wireMaxMm: most.mm,
        lengthMm,
        usedFor: null,
      },
      summary,
    )
  }),
)

const tips = (['0.6', '0.8', '0.9', '1.0', '1.2', '1.6'] as const).map((key) => {
  const { mm, inch, metric } = WIRE_SIZES[key]
  return entry(
    {
      kind: 'contact-tip',
      id: idOf('lib tip', metric),
      name: `Contact tip ${inch}`,
      ...BLANK,
      wireMm: mm,
      partsClass: null,
    },
    'equal to the wire for steel; one size over for aluminium',
  )
})

const nozzles = [
  entry(
    {
      kind: 'nozzle',
      id: 'lib-nozzle-12',
      name: 'Gas nozzle 1/2',
      ...BLANK,
      insideMm: 12.7,
      tipRecessMm: null,
      gasless: false,
      partsClass: null,
    },
    'short-circuit, corners',
  ),
  entry(
    {
      kind: 'nozzle',
      id: 'lib-nozzle-16',
      name: 'Gas nozzle 5/8',
      ...BLANK,
      insideMm: 15.875,
      tipRecessMm: null,
      gasless: false,
      partsClass: null,
    },
    'spray, aluminium',
  ),
  entry(
    {
      kind: 'nozzle',
      id: 'lib-nozzle-gasless',
      name: 'Gasless nozzle',
      ...BLANK,
      insideMm: null,
      tipRecessMm: null,
      gasless: true,
      partsClass: null,
    },
    'self-shielded wire only',
  ),
]

const CUPS = { small: [4, 5, 6, 7, 8], large: [4, 5, 6, 7, 8, 10, 12] } as const
const BACK_CAPS = [
  { word: 'short', longestMm: 60 },
  { word: 'medium', longestMm: 110 },
  { word: 'long', longestMm: 177.8 },
] as const
const TORCH_SET = commonPractice('parts of a TIG torch by head, common practice, no source')
const CUP_NUMBER = standard('cup number: inside diameter in 1/16 in, common practice', true)

const torchParts = (['small', 'large'] as const).flatMap((head) => {
  const partsClass = HEADS[head]
  const sized = TUNGSTEN_SIZES.filter(({ mm }) => head === 'large' || mm < 3.5).flatMap(
    ({ mm, inch, metric }) => [
      entry(
        {
          kind: 'collet',
          id: idOf('lib collet', head, metric),
          name: `Collet ${inch}, ${partsClass}`,
          ...BLANK,
          tungstenMm: mm,
          partsClass,
        },
        `tungsten of ${inch}`,
        TORCH_SET,
      ),
      ...[false, true].map((gasLens) =>
        entry(
          {
            kind: 'collet-body',
            id: idOf('lib', gasLens ? 'lens' : 'body', head, metric),
            name: `${gasLens ? 'Gas lens' : 'Collet body'} ${inch}, ${partsClass}`,
            ...BLANK,
            tungstenMm: mm,
            gasLens,
            partsClass,
          },
          gasLens ? 'longer stick-out, smoother gas' : `tungsten of ${inch}`,
          TORCH_SET,
        ),
      ),
    ],
  )
  const cups = CUPS[head].flatMap((number) =>
    [false, true].map((forGasLens) =>
      entry(
        {
          kind: 'cup',
          id: idOf('lib cup', head, `${number}`, forGasLens ? 'lens' : ''),
          name: `Cup ${number}${forGasLens ? ' for gas lens' : ''}, ${partsClass}`,
          ...BLANK,
          number,
          forGasLens,
          partsClass,
        },
        `${number}/16 in inside`,
        CUP_NUMBER,
      ),
    ),
  )
  const caps = BACK_CAPS.map(({ word, longestMm }) =>
    entry(
      {
        kind: 'back-cap',
        id: idOf('lib cap', head, word),
        name: `Back cap ${word}, ${partsClass}`,
        ...BLANK,
        longestMm,
        partsClass,
      },
      `electrode up to ${longestMm} mm`,
      TORCH_SET,
    ),
  )
  return [...sized, ...cups, ...caps]
})

const METERS = commonPractice('scales and heaters, common practice; cylinder valves by CGA V-1')
const meters = [
  entry(
    {
      kind: 'flow-meter',
      id: 'lib-meter-argon',
      name: 'Flow meter, argon scale',
      ...BLANK,
      scales: ['argon'],
      fittings: ['inert'],
      mostLPerMin: null,
      heated: false,
    },
    'argon and its mixes',
    METERS,
  ),
  entry(
    {
      kind: 'flow-meter',
      id: 'lib-meter-mix',
      name: 'Flow meter, argon and 75/25 scales',
      ...BLANK,
      scales: ['argon', 'ar-co2-25'],
      fittings: ['inert'],
      mostLPerMin: null,
      heated: false,
    },
    'argon and its mixes',
    METERS,
  ),
  entry(
    {
      kind: 'flow-meter',
      id: 'lib-meter-co2',
      name: 'Flow meter, CO₂ scale, heated',
      ...BLANK,
      scales: ['co2'],
      fittings: ['co2'],
      mostLPerMin: null,
      heated: true,
    },
    'CO₂ at high draw',
    METERS,
  ),
  entry(
    {
      kind: 'flow-meter',
      id: 'lib-meter-both',
      name: 'Flow meter, argon and CO₂ scales, with adapter',
      ...BLANK,
      scales: ['argon', 'co2'],
      fittings: ['inert', 'co2'],
      mostLPerMin: null,
      heated: false,
    },
    'either cylinder',
    METERS,
  ),
]

export const LIBRARY_PARTS: readonly LibraryEntry<'parts'>[] = [
  ...rolls,
  ...liners,
  ...tips,
  ...nozzles,
  ...torchParts,
  ...meters,
]
