/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  today: [
    'The next job, what is on its machine, and what to change first.',
    'Press Start and Done at the machine: the minutes teach the plan.',
    'Something broke shows where urgent work costs least, and what becomes late by it.',
  ],
} as const
