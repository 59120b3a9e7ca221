/** The names of the metals that a part can be made of, and of what a wire sees of them, as documents write them. */

/** What a power source, a wire and a gas see of a metal. */
export const METALS = ['carbon-steel', 'stainless', 'aluminium'] as const
export type Metal = (typeof METALS)[number]

export const MATERIAL_IDS = [
  'hot-rolled',
  'structural-355',
  'cold-rolled',
  'galvanised',
  'stainless-304',
  'stainless-316',
  'stainless-430',
  'aluminium-1100',
  'aluminium-3003',
  'aluminium-5052',
  'aluminium-5754',
  'aluminium-5083',
  'aluminium-5086',
  'aluminium-6061',
  'aluminium-6063',
  'aluminium-6082',
  'aluminium-cast',
  'aluminium-7075',
  'aluminium-2024',
  'cast-iron',
  'quenched-tempered',
  'medium-carbon',
  'chrome-moly',
] as const
export type MaterialId = (typeof MATERIAL_IDS)[number]
