/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  week: [
    'Rows are machines or welders. A block is a job, the striped part before it is changing over.',
    'Drag a block to move it: it is pinned there, and the jobs after it make room.',
    'Find a better plan searches in the background. It offers a plan and never puts it in place by itself.',
  ],
} as const
