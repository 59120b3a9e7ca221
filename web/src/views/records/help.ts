/** How to read the view, a sentence or two each: fetched when (?) is pressed. */

export const HELP = {
  records: ['Backups, the list of changes, deleted records and access for programs.'],
  people: ['Who may sign in, and what each may change.'],
} as const
