/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  start: ['Enter circuits, machines and a first job. Everything can be changed later.'],
} as const
