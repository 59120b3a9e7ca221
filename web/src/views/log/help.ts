/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  log: [
    'Every weld that was saved, tried or done. Search any word: welder, wire, sign, or a day such as 2026-11-30. Days are the shop’s.',
    'A correction keeps the row before. Evidence shows what was seen, and approves nothing.',
  ],
  monitor: [
    'Read a CSV of measurements, or watch the arc monitor live.',
    'What was measured stands beside the plan. It is booked when you say so.',
  ],
} as const
