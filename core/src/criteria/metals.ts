/** Metals that are welded: the job's, each with its first weld; without a job those that the wire is for. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { Metal } from '../model/material.ts'
import { MATERIALS } from '../reference/materials.ts'

export interface WeldedMetal {
  readonly metal: Metal
  readonly weldId: string | null
}

export function metalsOf({ wire }: Pick<Capability, 'wire'>, demand: Demand | null): readonly WeldedMetal[] {
  if (!demand) return wire ? [{ metal: wire.metal, weldId: null }] : []
  return demand.metals.map((metal) => ({
    metal,
    weldId:
      demand.pairs.find(
        ({ materialA, materialB }) =>
          MATERIALS[materialA].family === metal || MATERIALS[materialB].family === metal,
      )?.weldId ?? null,
  }))
}
