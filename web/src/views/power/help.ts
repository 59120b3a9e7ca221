/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  power: [
    'One job on every circuit, or the whole shop at once.',
    'Hold means the breaker carries it. May trip means it depends on the breaker and on the day.',
  ],
} as const
