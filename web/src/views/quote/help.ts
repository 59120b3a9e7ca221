/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  cost: [
    'What the job costs with its set-up, line by line. Nine runs of ten cost between the two figures beside it.',
    'Choose which cost the price is made of, add overhead and margin, and keep the quote as you send it.',
  ],
} as const
