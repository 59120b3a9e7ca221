/** What is said of a wearing part. */
import type { Wear, WearPart } from '@brannik/core'

export const PART_WORDS: Readonly<Record<WearPart, string>> = {
  tip: 'Contact tip',
  liner: 'Liner',
  rolls: 'Drive rolls',
  diffuser: 'Diffuser',
  tungsten: 'Tungsten',
}

const S_PER_H = 3600

/** @returns `6.2 kg of wire through it. It lasts about 7 kg, usual` */
export function wearText(
  { unit, used, life, learnedFrom }: Wear,
  print: (value: number, unit: string) => string,
  number: (value: number, digits?: number) => string,
): string {
  const amount = (value: number): string =>
    unit === 'g'
      ? `${print(value, 'g')} of wire`
      : unit === 's'
        ? `${number(value / S_PER_H, 2)} h of arc`
        : `${Math.round(value)} starts`
  const from =
    learnedFrom === 0 ? 'usual' : `from ${learnedFrom} ${learnedFrom === 1 ? 'change' : 'changes'} here`
  return `${amount(used)} so far. It lasts about ${amount(life)}, ${from}.`
}
