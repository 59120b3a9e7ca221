/** From a document with a shelf to the parts of one set-up: every reference must lead somewhere. */
import { isEngineDriven } from '../kinds/engineDriven.ts'
import { type Chosen, chosenOf, type Stores } from '../capability/slots.ts'
import { slotKey, SLOTS } from '../kinds/slots.ts'
import { type SetUp } from '../kinds/equipment.ts'
import type { FieldProblem } from '../model/problems.ts'
import type { FitDocument } from '../kinds/shelf.ts'
import type { FitInput } from './fit.ts'

export type Parts = Chosen & Pick<FitInput, 'powerSource' | 'gun'>

export type PartsAnswer =
  | { readonly ok: true; readonly parts: Parts }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }

/**
 * @returns the parts that a set-up names, or a problem for each that the shelf does not hold
 * @example partsOf({ ...setUp, gasId: 'helium' }, shelf) // { ok: false, problems: [{ pointer: '/setUp/gasId', … }] }
 */
export function partsOf(setUp: SetUp, shelf: Stores): PartsAnswer {
  const chosen = chosenOf(setUp, shelf)
  const problems = SLOTS.flatMap((slot): FieldProblem[] => {
    const key = slotKey(slot)
    const id = setUp[key]
    if (id === null || chosen[slot] !== null) return []
    return [
      {
        pointer: `/setUp/${key}`,
        field: `setUp › ${key}`,
        message: `names “${id}”, which does not exist. Add it, or choose another`,
      },
    ]
  })
  const { circuit, powerSource, gun } = chosen
  if (powerSource && !isEngineDriven(powerSource) && !circuit && setUp.circuitId === null) {
    problems.push({
      pointer: '/setUp/circuitId',
      field: 'setUp › circuitId',
      message: `is null, and ${powerSource.name} needs a circuit. Choose one`,
    })
  }
  if (problems.length > 0 || !powerSource || !gun) return { ok: false, problems }
  // A set that an engine drives hangs on no circuit, whatever the document names.
  const fedBy = isEngineDriven(powerSource) ? null : circuit
  return { ok: true, parts: { ...chosen, circuit: fedBy, powerSource, gun } }
}

/**
 * @returns the input of a fit from a whole document, or what in it leads nowhere
 * @example const read = inputOf(document)
 * if (read.ok) fitJob(read.input)
 */
export function inputOf(
  document: FitDocument,
):
  | { readonly ok: true; readonly input: FitInput }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] } {
  const answer = partsOf(document.setUp, document)
  if (!answer.ok) return answer
  const { shop, job, setUp } = document
  return { ok: true, input: { shop, job, setUp, ...answer.parts } }
}
