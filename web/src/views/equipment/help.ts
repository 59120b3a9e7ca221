/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  equipment: [
    'What you own and what you may buy. Click a name to edit it.',
    'Add common items from the library, or enter a machine from its data plate.',
  ],
} as const
