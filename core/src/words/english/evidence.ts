/** What is looked at on a finished weld, each with its limit. */
import type { Templates } from '../language.ts'

export const VISUAL: Templates = {
  'visual-cracks': 'No cracks, at the crater too',
  'visual-fusion': 'Fused to both parts and between passes',
  'visual-crater': 'Craters filled to the size of the weld',
  'visual-profile': 'Smooth profile, no overlap, toes wet in',
  'visual-undercut': 'Undercut at most {limit} deep',
  'visual-porosity-static': 'Pores of 1/32 in and more: together at most {limit} in any inch',
  'visual-porosity-cyclic': 'Pores at most {limit}, no more than one in 4 in',
  'visual-undersize': 'Leg under size by at most {limit}, on a tenth of the length at most',
  'visual-no-pores': 'No pores at the surface',
  'visual-pores': 'Single pores at most {limit} across',
  'visual-no-overlap': 'No overlap',
  'visual-overlap': 'Overlap at most {limit}',
  'visual-crown': 'Crown at most {limit} high',
  'visual-no-undersize': 'Throat as planned, nowhere less',
  'visual-throat': 'Throat short by at most {limit}, in short stretches',
  'visual-offset': 'Parts out of line by at most {limit}',
}

export const VISUAL_LIST_NAMES: Templates = {
  'd1.1-static': 'AWS D1.1, static load',
  'd1.1-cyclic': 'AWS D1.1, changing load',
  'iso5817-b': 'ISO 5817, level B',
  'iso5817-c': 'ISO 5817, level C',
  'iso5817-d': 'ISO 5817, level D',
}
