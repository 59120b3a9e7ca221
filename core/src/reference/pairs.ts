/** Which fillers join two metals, which do not and why, what is done first, and what must not be welded. */
import { type MaterialId } from '../model/material.ts'
import { commonPractice, handbook, type Source, standard } from '../basis/source.ts'
import { designationOf } from './designation.ts'
import { fillerFamilyOf } from './fillerFamilies.ts'
import { leastPreheatOf } from './leastPreheat.ts'
import { MATERIALS, type MetalGroup } from './materials.ts'

export interface FillerChoice {
  /** AWS classification (A5.9, A5.10, A5.15, A5.18, A5.20). */
  readonly classification: string
  /** Whether no other class of its family stands for it. */
  readonly isExact: boolean
  readonly reason: string
  readonly source: Source
}

export interface Preheat {
  readonly leastC: number | null
  /** Never above this. */
  readonly mostC: number | null
  readonly text: string
  readonly source: Source
}

export interface PairAdvice {
  readonly weldable: 'yes' | 'needs-procedure' | 'no'
  /** Why not, or under what condition; empty where there is nothing to say. */
  readonly text: string
  readonly fillers: readonly FillerChoice[]
  readonly excluded: readonly FillerChoice[]
  readonly preparation: readonly string[]
  readonly preheat: Preheat | null
}

export interface Service {
  /** Highest temperature in service, °C; null where it is ordinary. */
  readonly serviceTemperatureC: number | null
  readonly anodised: boolean
  /** The thicker part, mm. */
  readonly thickerMm: number
}

const A5_10 = standard('AWS A5.10, annex, guide to the choice of aluminium filler', true)
const A5_9 = standard('AWS A5.9, annex, stainless fillers', true)
const A5_18 = standard('AWS A5.18, A5.20, annex, carbon steel fillers', true)

const choice = (classification: string, reason: string, source: Source, isExact = false): FillerChoice => ({
  classification,
  isExact,
  reason,
  source,
})

/**
 * @returns whether a filler as printed on its package is one that a list names, or of its family
 * @example isFiller('E71T-8', choice) // true where the choice is E71T-1, for carbon steel
 */
export const isFiller = (
  printed: string,
  { classification, isExact }: Pick<FillerChoice, 'classification' | 'isExact'>,
): boolean =>
  isExact
    ? startsWithClass(designationOf(printed).aws, classification)
    : fillerFamilyOf(printed) === fillerFamilyOf(classification)

/** `E71T-1C/M` is an E71T-1, and `E71T-11` is none: a figure that goes on is another class. */
const startsWithClass = (printed: string, classification: string): boolean =>
  printed.startsWith(classification) && !/^\d/.test(printed.slice(classification.length))

const CARBON: readonly FillerChoice[] = [
  choice('ER70S-6', 'tolerates some mill scale and rust', A5_18),
  choice('ER70S-3', 'on clean steel', A5_18),
  choice('ER70S-2', 'TIG rod, deoxidised three ways', A5_18),
  choice('E71T-1', 'gas-shielded cored: all positions, deposits fast', A5_18),
  choice('E71T-11', 'self-shielded: outdoors, thin to 1/2 in (13 mm)', A5_18),
  choice('E71T-8', 'self-shielded: outdoors, structural, thick parts', A5_18),
  choice('E71T-GS', 'self-shielded, single pass on thin sheet only', A5_18),
]
const A5_1 = standard('AWS A5.1, annex, covered carbon steel electrodes', true)
/** By stick; of stainless the covered electrode has the name of its rod without the R, with its covering behind. */
const CARBON_STICK: readonly FillerChoice[] = [
  choice('E7018', 'low hydrogen: structural work, all positions; keep it dry', A5_1),
  choice('E6011', 'digs through rust and paint; AC too', A5_1),
  choice('E6010', 'deep root, fast freezing; DC alone', A5_1),
  choice('E7016', 'low hydrogen without iron powder: roots; keep it dry', A5_1),
  choice('E6013', 'soft arc on thin clean sheet', A5_1),
  choice('E7014', 'easy on the hand, iron powder', A5_1),
  choice('E7024', 'flat and horizontal: deposits most', A5_1),
]
/** Soft enough to give, and with little hydrogen. */
const HARDENABLE: readonly FillerChoice[] = [
  choice('ER70S-2', 'ductile seam, usual on thin chrome-moly tube', commonPractice(), true),
  choice('ER80S-D2', 'stronger; its seam is not heat-treated', commonPractice(), true),
  choice('ER70S-6', 'ductile seam where strength is not matched', commonPractice(), true),
  choice('E71T-1', 'gas-shielded cored, low hydrogen', commonPractice(), true),
  choice('E7018', 'low hydrogen; keep it dry', commonPractice(), true),
  choice('E7016', 'low hydrogen; keep it dry', commonPractice(), true),
]
const TO_STAINLESS: readonly FillerChoice[] = [
  choice('ER309L', 'rich enough for dilution by carbon steel', A5_9),
  choice('ER307', 'tough with much manganese: usual in Europe where nothing wets the seam', A5_9),
  choice('ER312', 'tolerates dilution: repairs', A5_9),
]
/** Above 65 °C (150 °F) a filler with over 3 % magnesium becomes open to stress corrosion. */
const MAGNESIUM_LIMIT_C = 65
const THICK_ALUMINIUM_MM = 9.5
/** 3/4 in: up to there ordinary steel is welded as it comes. */
const THICK_STEEL_MM = 19.05

type PairRule = (service: Service) => Partial<PairAdvice>

const carbonSteel: PairRule = ({ thickerMm }) => ({
  fillers: [...CARBON, ...CARBON_STICK],
  preheat:
    thickerMm > THICK_STEEL_MM
      ? {
          leastC: leastPreheatOf('B', thickerMm).leastC,
          mostC: 230,
          text: 'Preheat thick steel and hold it between passes, more with rutile or cellulose electrodes.',
          source: leastPreheatOf('B', thickerMm).source,
        }
      : null,
})

const austenitic: PairRule = () => ({
  fillers: [
    choice('ER308L', 'matches 304', A5_9),
    choice('ER316L', 'matches 316; on 304 it is more than enough', A5_9),
  ],
  preheat: {
    leastC: null,
    mostC: 175,
    text: 'No preheat: let it cool below 175 °C (350 °F) between passes.',
    source: commonPractice(),
  },
})

const molybdenum: PairRule = () => ({
  fillers: [choice('ER316L', 'keeps the molybdenum that 316 resists pitting with', A5_9)],
  excluded: [choice('ER308L', 'has no molybdenum: the seam would pit before the sheet', A5_9)],
  preheat: {
    leastC: null,
    mostC: 175,
    text: 'No preheat: let it cool below 175 °C (350 °F) between passes.',
    source: commonPractice(),
  },
})

const ferritic: PairRule = () => ({
  fillers: [
    choice('ER309L', 'tough seam in a brittle metal', A5_9),
    choice('ER308L', 'common for thin ferritic sheet', A5_9),
  ],
  text: 'Ferritic stainless grows coarse and brittle with heat: least heat, short welds.',
})

/** 4043 and 5356 by what the seam must stand. */
function silicon(service: Service, reason: string): FillerChoice[] {
  return service.anodised ? [] : [choice('ER4043', reason, A5_10)]
}
function magnesium(service: Service, reason: string): FillerChoice[] {
  const hot = (service.serviceTemperatureC ?? 0) > MAGNESIUM_LIMIT_C
  return hot ? [] : [choice('ER5356', reason, A5_10)]
}
function aluminiumExclusions(service: Service): FillerChoice[] {
  const hot = (service.serviceTemperatureC ?? 0) > MAGNESIUM_LIMIT_C
  return [
    ...(hot
      ? [choice('ER5356', 'not above 65 °C (150 °F): over 3 % magnesium, open to stress corrosion', A5_10)]
      : []),
    ...(service.anodised ? [choice('ER4043', 'turns dark grey when it is anodised', A5_10)] : []),
  ]
}
function aluminiumPreheat({ thickerMm }: Service, group: MetalGroup): Preheat | null {
  const most = {
    mostC: 120,
    source: handbook(
      'aluminium welding handbooks: not above 120 °C (250 °F) for heat-treated and high-magnesium alloys',
    ),
  }
  if (thickerMm > THICK_ALUMINIUM_MM || group === 'al-cast') {
    return {
      ...most,
      leastC: 60,
      text: 'May need 60 to 120 °C (140 to 250 °F) to start without cold laps, never above 120 °C (250 °F).',
    }
  }
  return { ...most, leastC: null, text: 'Not needed, never above 120 °C (250 °F).' }
}

const RULES: Readonly<Record<string, PairRule>> = {
  'carbon+carbon': carbonSteel,
  'austenitic+austenitic': austenitic,
  'ferritic+ferritic': ferritic,
  'austenitic+ferritic': () => ({ fillers: [choice('ER309L', 'joins ferritic to austenitic', A5_9)] }),
  'austenitic+carbon': () => ({
    fillers: TO_STAINLESS,
    excluded: [
      choice('ER308L', 'cracks when diluted by carbon steel', A5_9),
      choice('ER70S-6', 'turns hard and cracks when diluted by stainless', A5_9),
    ],
    text: 'The weld rusts like carbon steel. Paint it.',
  }),
  'carbon+ferritic': () => ({ fillers: TO_STAINLESS }),
  'al-pure+al-pure': (service) => ({
    fillers: [choice('ER1100', 'same metal, same colour', A5_10), ...silicon(service, 'flows well')],
  }),
  'al-5xxx+al-5xxx': (service) => ({
    fillers: [
      ...magnesium(service, 'strong, feeds well, matches after anodising'),
      ...silicon(service, 'where service is hot'),
    ],
  }),
  'al-high-magnesium+al-high-magnesium': () => ({
    fillers: [
      choice('ER5183', 'as strong as 5083', A5_10),
      choice('ER5356', 'as strong as 5086', A5_10),
      choice('ER5556', 'stronger still', A5_10),
    ],
    excluded: [choice('ER4043', 'silicon and so much magnesium make a brittle seam', A5_10)],
  }),
  'al-6xxx+al-6xxx': (service) => ({
    fillers: [
      ...silicon(service, 'safe from cracks, flows well, stands heat'),
      ...magnesium(service, 'stronger, matches after anodising'),
    ],
  }),
  'al-cast+al-cast': () => ({
    fillers: [choice('ER4043', 'silicon like the casting itself', A5_10)],
    excluded: [choice('ER5356', 'magnesium in a silicon casting makes a brittle seam', A5_10)],
  }),
  'al-5xxx+al-6xxx': (service) => ({
    fillers: [
      ...magnesium(service, 'the usual one between 5xxx and 6xxx'),
      ...silicon(service, 'where service is hot'),
    ],
  }),
  'al-6xxx+al-high-magnesium': (service) => ({
    fillers: magnesium(service, 'the usual one with high magnesium'),
    excluded: [choice('ER4043', 'never on 5083 or 5086: a brittle seam', A5_10)],
  }),
  'al-5xxx+al-high-magnesium': (service) => ({
    fillers: magnesium(service, 'magnesium to magnesium'),
    excluded: [choice('ER4043', 'never on 5083 or 5086: a brittle seam', A5_10)],
  }),
  'al-6xxx+al-pure': (service) => ({ fillers: silicon(service, 'flows well, safe from cracks') }),
  'al-5xxx+al-pure': (service) => ({
    fillers: [...magnesium(service, 'magnesium to pure'), ...silicon(service, 'where service is hot')],
  }),
  'al-6xxx+al-cast': () => ({
    fillers: [choice('ER4043', 'silicon suits the casting and keeps 6xxx from cracking', A5_10)],
    excluded: [choice('ER5356', 'not on castings', A5_10)],
  }),
  'cast-iron+cast-iron': () => ({
    weldable: 'needs-procedure',
    text: 'Cast iron cracks beside the seam: short beads, peened, and slow cooling, by a procedure for it.',
    fillers: [
      choice('ENi-CI', 'machinable', standard('AWS A5.15', true)),
      choice('ENiFe-CI', 'stronger, thick parts', standard('AWS A5.15', true)),
    ],
    preheat: {
      leastC: 200,
      mostC: 650,
      text: 'Preheat all of it and let it cool in sand. Or keep it hand-warm with very short beads.',
      source: commonPractice(),
    },
  }),
  'carbon+cast-iron': () => ({
    weldable: 'needs-procedure',
    text: 'Cast iron cracks beside the seam: by a procedure for it.',
    fillers: [choice('ENiFe-CI', 'joins iron to steel', standard('AWS A5.15', true))],
  }),
  'hardenable+hardenable': () => ({
    text: 'Hardens beside the seam: low-hydrogen filler, preheat by its carbon equivalent, slow cooling.',
    fillers: HARDENABLE,
  }),
  'carbon+hardenable': () => ({
    text: 'The harder part decides the preheat: low-hydrogen filler, slow cooling.',
    fillers: HARDENABLE,
  }),
  'quenched-tempered+quenched-tempered': () => ({
    weldable: 'needs-procedure',
    text: 'Too much heat softens it, too little cracks it. Follow the mill procedure for preheat and heat input.',
    fillers: [
      choice('ER110S', 'as strong as 690 N/mm² steel; by the procedure', commonPractice()),
      choice('E11018', 'the same by stick, kept dry; by the procedure', commonPractice(), true),
      choice(
        'ER70S-6',
        'softer than the plate, where the strength is not wanted; by the procedure',
        commonPractice(),
        true,
      ),
    ],
  }),
  'carbon+quenched-tempered': () => ({
    weldable: 'needs-procedure',
    text: 'Preheat and heat input by the mill’s procedure for the quenched and tempered part.',
    fillers: [choice('ER70S-6', 'soft enough to give; by the procedure', commonPractice(), true)],
  }),
}

function refusal(a: MetalGroup, b: MetalGroup): string | null {
  if (a === 'al-unweldable' || b === 'al-unweldable') {
    return '7075 and most 2xxx crack when arc welded. No filler fixes that. Bolt, rivet or bond it.'
  }
  const isAluminium = (group: MetalGroup) => group.startsWith('al-')
  if (isAluminium(a) !== isAluminium(b)) {
    return 'Aluminium and iron form a brittle compound. An arc weld between them breaks. Bolt it, or use a transition insert.'
  }
  return null
}

const NOTHING: Omit<PairAdvice, 'preparation'> = {
  weldable: 'yes',
  text: '',
  fillers: [],
  excluded: [],
  preheat: null,
}

/**
 * @returns what is known of joining two metals; a pair that nobody has a rule for needs a procedure
 * @example pairAdvice('aluminium-6061', 'stainless-304', service).weldable // 'no'
 */
export function pairAdvice(a: MaterialId, b: MaterialId, service: Service): PairAdvice {
  const [first, second] = [MATERIALS[a], MATERIALS[b]]
  const preparation = [...new Set([first.preparation, second.preparation])]
  const refused = refusal(first.group, second.group)
  if (refused) return { ...NOTHING, weldable: 'no', text: refused, preparation }
  const key = [first.group, second.group].sort().join('+')
  const withMolybdenum = key === 'austenitic+austenitic' && a === b && a === 'stainless-316'
  const rule = withMolybdenum ? molybdenum : RULES[key]
  if (!rule) {
    return {
      ...NOTHING,
      weldable: 'needs-procedure',
      text: `No common filler is known for ${first.name} to ${second.name}: it needs a procedure.`,
      preparation,
    }
  }
  const advice: PairAdvice = { ...NOTHING, ...rule(service), preparation }
  if (first.family !== 'aluminium') return advice
  return {
    ...advice,
    excluded: [
      ...advice.excluded,
      ...aluminiumExclusions(service).filter(({ classification }) =>
        advice.excluded.every((one) => !isFiller(classification, one)),
      ),
    ],
    fillers: advice.fillers.filter(
      ({ classification }) => !aluminiumExclusions(service).some((one) => isFiller(classification, one)),
    ),
    preheat: aluminiumPreheat(service, first.group === 'al-cast' ? first.group : second.group),
  }
}
