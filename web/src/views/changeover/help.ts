/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  'change-over': [
    'The steps from what is on the machine now to the next set-up, in the order hands do them.',
    'Start, tick each step, finish. The machine then has the new set-up, and the minutes are learned.',
  ],
} as const
