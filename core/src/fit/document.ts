/** From a document with a shelf to the parts of one set-up: every reference must lead somewhere. */
import type { SetUp } from '../model/equipment.ts'
import type { FieldProblem } from '../model/problems.ts'
import type { FitDocument, Shelf } from '../model/shelf.ts'
import type { FitInput } from './context.ts'

export type Parts = Pick<FitInput, 'circuit' | 'powerSource' | 'gun' | 'wire' | 'gas' | 'tungsten'>

export type PartsAnswer =
  | { readonly ok: true; readonly parts: Parts }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }

/** @returns the parts that a set-up names, or a problem for each that the shelf does not hold */
export function partsOf(setUp: SetUp, shelf: Shelf): PartsAnswer {
  const problems: FieldProblem[] = []
  const find = <T extends { id: string }>(
    list: readonly T[],
    id: string | null,
    key: keyof SetUp,
    word: string,
  ): T | null => {
    if (id === null) return null
    const found = list.find((item) => item.id === id)
    if (found) return found
    problems.push({
      pointer: `/setUp/${key}`,
      field: `setUp › ${key}`,
      message: `names “${id}”, and there is no such ${word}; add it or choose another`,
    })
    return null
  }
  const circuit = find(shelf.circuits, setUp.circuitId, 'circuitId', 'circuit')
  const powerSource = find(shelf.powerSources, setUp.powerSourceId, 'powerSourceId', 'power source')
  const gun = find(shelf.guns, setUp.gunId, 'gunId', 'gun or torch')
  const wire = find(shelf.wires, setUp.wireId, 'wireId', 'wire or rod')
  const gas = find(shelf.gases, setUp.gasId, 'gasId', 'gas')
  const tungsten = find(shelf.tungstens, setUp.tungstenId, 'tungstenId', 'tungsten')
  if (problems.length > 0 || !circuit || !powerSource || !gun) return { ok: false, problems }
  return { ok: true, parts: { circuit, powerSource, gun, wire, gas, tungsten } }
}

/** @returns the input of a fit from a whole document, or what in it leads nowhere */
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
