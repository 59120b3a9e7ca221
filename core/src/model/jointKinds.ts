/** Words of a joint: its kinds, what each is sized by, its positions and patterns. */

export const JOINT_KINDS = [
  'tee',
  'lap',
  'inside-corner',
  'outside-corner',
  'square',
  'v',
  'double-v',
  'bevel',
  'double-bevel',
  'u',
  'j',
  'flare-v',
  'flare-bevel',
  'edge',
  'plug',
  'slot',
  'saddle',
] as const
export type JointKind = (typeof JOINT_KINDS)[number]

/** Kinds whose weld is a fillet, sized by its leg. */
export const FILLET_KINDS: readonly JointKind[] = ['tee', 'lap', 'inside-corner', 'outside-corner', 'saddle']
/** Kinds with a bevel, sized by an included angle (one side's angle for a single bevel). */
export const BEVELLED_KINDS: readonly JointKind[] = ['v', 'double-v', 'bevel', 'double-bevel', 'u', 'j']
/** Kinds whose weld fills the edges of the parts: it may go through all of their thickness. */
export const BUTT_KINDS: readonly JointKind[] = ['square', ...BEVELLED_KINDS]
/** Kinds that need a diameter: of the round bar or tube, of the hole, or of the branch. */
export const ROUND_KINDS: readonly JointKind[] = ['flare-v', 'flare-bevel', 'plug', 'slot', 'saddle']

export const POSITIONS = ['flat', 'horizontal', 'vertical-up', 'vertical-down', 'overhead'] as const
export type Position = (typeof POSITIONS)[number]
/** Where the pool wants to run: neither flat nor horizontal. */
export const isOutOfPosition = (position: Position): boolean =>
  position !== 'flat' && position !== 'horizontal'

/** How deep a groove weld is by the drawing: as its figures make it, complete (CJP) or partial (PJP). */
export const PENETRATIONS = ['as-prepared', 'complete', 'partial'] as const

export const PATTERNS = ['continuous', 'intermittent', 'staggered'] as const
