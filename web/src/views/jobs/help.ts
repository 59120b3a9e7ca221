/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  jobs: [
    'Every job with its verdict, its set-up and what is still to settle.',
    'Open a job for its welds. Open Fit to see whether its set-up can do it.',
  ],
  job: [
    'List the welds: joint, part, length and number. Type them as you would on a drawing, for example 1/4 fillet 3-6.',
    'The advice beside a weld comes from its own figures. Nothing is saved until a line is complete.',
  ],
  'job-order': [
    'The order of the welds and how long each takes.',
    'Arc time comes from the weld. Fit-up and handling times are your own.',
  ],
} as const
