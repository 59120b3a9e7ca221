/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  board: [
    'Rows are jobs, columns are machines on their circuits.',
    'Each cell shows the best way this machine can do the job with what you own.',
    'Press a cell for the reason, other ways and other machines. By set-up shows your recorded set-ups as columns.',
  ],
} as const
