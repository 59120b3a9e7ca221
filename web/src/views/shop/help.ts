/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  shop: ['Units, spelling and the rule book by which circuits are judged.'],
  assumptions: [
    'Every figure that Brannik assumes, with its source. Change what you know better.',
    'The right column shows how many verdicts change if the value is off by 10 %.',
  ],
} as const
