/** What a shop calls things, beside what the records call them. Common practice, no source, unless a line says otherwise. */

/** Any of the first finds any of the second. Written as `searchable` writes a text. */
export const SYNONYMS: readonly (readonly [said: readonly string[], written: readonly string[]])[] = [
  // Gas, by the share of CO₂.
  [['c25', 'c 25'], ['75/25 ar/co2']],
  [['c20'], ['80/20 ar/co2']],
  [['c18'], ['82/18 ar/co2']],
  [['c15'], ['85/15 ar/co2']],
  [['c10'], ['90/10 ar/co2']],
  [['c8'], ['92/8 ar/co2']],
  [['c2'], ['98/2 ar/co2']],
  [['c100', 'carbon dioxide', '100% co2', 'straight co2'], ['co2']],
  // ISO 14175 groups of the argon mixes that a steel shop uses (from memory).
  [['m20'], ['90/10 ar/co2', '92/8 ar/co2']],
  [['m21'], ['75/25 ar/co2', '80/20 ar/co2', '82/18 ar/co2', '85/15 ar/co2']],
  [['i1', '100% argon', '100% ar', 'pure argon', 'straight argon'], ['argon']],
  [
    ['tri-mix', 'trimix', 'tri mix', 'trigas'],
    ['he/ar/co2', 'ar/he/co2'],
  ],
  [['mixed gas', 'mix gas', 'argon mix'], ['ar/co2']],
  [
    ['bottle', 'tank'],
    ['cylinder', 'gas', 'argon', 'co2', 'helium'],
  ],
  // Processes.
  [
    ['mig', 'gmaw', 'mag'],
    ['mig', 'wire machine', 'multiprocess', 'solid wire'],
  ],
  [
    ['tig', 'gtaw'],
    ['tig', 'torch', 'tungsten', 'rod'],
  ],
  [
    ['stick', 'smaw', 'mma', 'arc welder'],
    ['stick', 'electrode', 'covered electrode'],
  ],
  [
    ['flux core', 'flux-core', 'fluxcore', 'flux cored', 'fcaw', 'cored'],
    ['flux-cored', 'cored', 'self-shielded', 'e71t', 'e70t', 'rutile cored', 'knurled'],
  ],
  [
    ['gasless', 'no gas'],
    ['self-shielded', 'gasless', 'without gas', 'e71t-11', 'e71t-gs'],
  ],
  // Metals and their fillers.
  [
    ['mild steel', 'carbon steel', 'ms'],
    ['carbon steel', 'er70s', 'e71t', 'e70', 'e60', 'g3si1', 'g4si1', 'thin steel', 'shop steel'],
  ],
  [
    ['aluminum', 'alu'],
    ['aluminum', 'er5356', 'er4043', 'almg', 'alsi', '6061', '5052'],
  ],
  [
    ['stainless', 'ss', 'inox'],
    ['stainless', '304', '316', 'er308', 'er309', 'er316', '19 9', '19 12'],
  ],
  // Tungsten by the colour of its end, ISO 6848 (from memory).
  [['tungsten'], ['wla', 'wth', 'wce', 'wzr', 'wp', 'collet']],
  [
    ['lanthanated', 'blue tungsten', 'gold tungsten'],
    ['wla20', 'wla15'],
  ],
  [['thoriated', 'red tungsten'], ['wth20']],
  [['ceriated', 'gray tungsten'], ['wce20']],
  [['zirconiated', 'white tungsten'], ['wzr8']],
  [['pure tungsten', 'green tungsten'], ['wp']],
  // Parts of a machine and of the shop.
  [
    ['stinger', 'electrode holder'],
    ['holder', 'electrode holder'],
  ],
  [['whip'], ['gun', 'torch']],
  [
    ['gas cup', 'shroud'],
    ['nozzle', 'cup'],
  ],
  [
    ['plug', 'outlet', 'receptacle', 'socket', 'welder plug'],
    ['circuit', 'outlet', 'wall', 'bay'],
  ],
  [
    ['breaker', 'fuse'],
    ['breaker', 'circuit', 'panel', 'power'],
  ],
  [
    ['welder', 'machine'],
    ['machine', 'power source', 'mig', 'tig', 'stick'],
  ],
  [['regulator', 'reg'], ['flow meter']],
]

/** One size by its names: inch, metric, and as people say it. Sold sizes; common practice, no source. */
export const SAME_SIZE: readonly (readonly string[])[] = [
  ['0.6', '0.6 mm', '0.6mm', '0.023', '0.024', '023', '024'],
  ['0.8', '0.8 mm', '0.8mm', '0.030', '030'],
  ['0.9', '0.9 mm', '0.9mm', '0.035', '035'],
  ['1.0', '1.0 mm', '1.0mm', '1 mm', '0.040', '040'],
  ['1.2', '1.2 mm', '1.2mm', '0.045', '045', '3/64'],
  ['1.6', '1.6 mm', '1.6mm', '1/16', '0.062', '062'],
  ['2.0', '2.0 mm', '2 mm', '5/64'],
  ['2.4', '2.4 mm', '2.4mm', '3/32', '0.093'],
  ['2.5', '2.5 mm', '2.5mm', '3/32'],
  ['3.2', '3.2 mm', '3.2mm', '1/8', '0.125'],
  ['4.0', '4.0 mm', '4 mm', '5/32'],
]
