/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  card: [
    'One page for the machine: figures, leads, parts and steps of one weld with its set-up.',
    'Print it, or open it on a tablet. Tick the steps: who and when is recorded.',
  ],
} as const
