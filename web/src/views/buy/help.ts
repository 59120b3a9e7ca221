/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  buy: [
    'What to get so that every planned job can be done, at the lowest price.',
    'Ways to do a job compares single purchases. Requirements lists what a machine must be able to do.',
  ],
} as const
