/** A requirement in a few words: `Highest current, MIG: at least 180 A`. */
import { PROCESSES, type Requirement, REQUIREMENT_WORDS } from '@brannik/core'

export function requirementText(
  { what, process, amount, atA }: Requirement,
  print: (value: number, unit: string) => string,
  money: (amount: number) => string,
): string {
  const { title, unit, better } = REQUIREMENT_WORDS[what]
  const of = process === null ? '' : `, ${PROCESSES[process].workshopWord}`
  const at = atA === null ? '' : ` at ${print(atA, 'A')}`
  if (amount === null) return `${title}${at}${of}`
  const figure = what === 'price' ? money(amount) : print(amount, unit)
  const bound = better === 'there' ? '' : better === 'more' ? 'at least ' : 'at most '
  return `${title}${at}${of}: ${bound}${figure}`
}
