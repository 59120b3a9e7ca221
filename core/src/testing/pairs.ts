/** For tests: every job of the demo with every set-up of it, whose parts are there. */
import { partsOf } from '../fit/document.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import type { ShopDocument } from '../kinds/shelf.ts'
import { demoShop } from './samples.ts'

export interface DemoPair {
  readonly name: string
  readonly input: FitInput
}

const DEMO = demoShop()

/** @param change what is different from the demo */
function demoPairs(change: (shop: ShopDocument) => ShopDocument = (shop) => shop): readonly DemoPair[] {
  const document = change(DEMO)
  return document.jobs.flatMap((job) =>
    document.setUps.flatMap((setUp) => {
      const answer = partsOf(setUp, document)
      return answer.ok
        ? [
            {
              name: `${job.id} with ${setUp.id}`,
              input: { shop: document.shop, job, setUp, ...answer.parts },
            },
          ]
        : []
    }),
  )
}

/**
 * @param change what is different from the demo
 * @param isAsked which pairs, by their place among all; all of them where it is left out
 */
export const demoSides = (
  change?: (shop: ShopDocument) => ShopDocument,
  isAsked: (index: number) => boolean = () => true,
) =>
  demoPairs(change)
    .filter((_, index) => isAsked(index))
    .map(({ name, input }) => ({ name, input, ...sidesOf(input) }))
