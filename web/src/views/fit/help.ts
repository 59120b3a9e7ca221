/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  fit: [
    'The chain shows what each part can carry. The weld needs the current marked on it.',
    'The weakest link is named first. Below it are ways to fix it, start settings and what the job uses.',
    'Press any figure to see how it was calculated and from which source.',
  ],
} as const
