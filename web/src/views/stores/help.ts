/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  stores: [
    'What is on hand, and what the planned jobs need of it. Receive, use or count in two presses.',
    'What is not counted is not judged. Count it to see when it ends.',
  ],
  'runs-out': [
    'Planned jobs draw from one stock in the order of their due days.',
    'Each line says what is left after a job, and at which weld it ends.',
  ],
  order: [
    'What is lacking for the planned jobs, in whole spools and cylinders, from whom and by when.',
    'A price says its age. Place an order, then receive what comes: it goes into the stores.',
  ],
  movements: [
    'Every receipt, use and count, newest first. A count below the book shows what is missing.',
    'A mistake is taken back by another line. Nothing is erased.',
  ],
  'store-records': [
    'Cylinders, spools, suppliers and prices, each with its own figures.',
    'With the empty weight recorded, a scale says what is left.',
  ],
} as const
