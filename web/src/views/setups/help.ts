/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  'set-up': [
    'A set-up is what you use together, from circuit to contact tip.',
    'Each place shows what fits it. What does not fit says why.',
  ],
} as const
