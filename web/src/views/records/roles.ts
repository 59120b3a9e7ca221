/** What each role allows, in words. The server holds everybody to it. */
import type { Role } from '../../shop/session.ts'

export const ROLES: readonly Role[] = ['owner', 'planner', 'welder', 'guest']
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'everything',
  planner: 'reads, and writes jobs, set-ups, wires, gases, tungstens and parts',
  welder: 'reads',
  guest: 'reads',
}
