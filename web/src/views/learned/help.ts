/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  learned: [
    'What your log says against the plan, each figure with the welds behind it.',
    'Nothing changes until you take it. Wearing parts count from their last change.',
  ],
} as const
