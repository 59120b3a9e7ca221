/** Who may do what: each role may what the ones before it may. */

export const ROLES = ['guest', 'welder', 'planner', 'owner'] as const
export type Role = (typeof ROLES)[number]
/** What a route asks: a role at least, or nothing. */
export type Needs = Role | 'anyone'

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  guest: 'reads',
  welder: 'reads; ticks off steps, says what is on a machine, takes from the stores',
  planner: 'reads, and writes jobs, set-ups and what is used up',
  owner: 'everything',
}

export const mayDo = (role: Role | null, needs: Needs): boolean =>
  needs === 'anyone' || (role !== null && ROLES.indexOf(role) >= ROLES.indexOf(needs))
