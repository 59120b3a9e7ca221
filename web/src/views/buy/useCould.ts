/** A set-up that could be: found where it is written down already, else made, with the small parts that it needs as things to buy. */
import type { Made, SetUp } from '@brannik/core'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { hasSameParts } from '../setups/sameParts.ts'

export function useCould() {
  const workspace = useWorkspace()
  const known = ({ setUp }: Made): SetUp | null =>
    workspace.setUps.find((one) => hasSameParts(one, setUp)) ?? null

  /** @returns the id under which it is written down */
  function take(could: Made): string {
    const there = known(could)
    if (there) return there.id
    const { setUp, parts } = could
    for (const part of parts)
      if (!workspace.get('parts', part.id))
        workspace.edit(
          'parts',
          part.id,
          { ...part, held: 'candidate' },
          `${part.name} to buy for ${setUp.name}`,
        )
    const id = idFor(setUp.name, workspace.setUps)
    workspace.edit('set-ups', id, { ...setUp, id } as SetUp, `set-up ${setUp.name}`)
    return id
  }
  return { known, take }
}
