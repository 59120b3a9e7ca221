/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  capacity: [
    'The thinnest and the thickest part that each set-up welds, by metal and joint.',
    'The limit is named: the arc, the wire, the source or the circuit.',
  ],
} as const
