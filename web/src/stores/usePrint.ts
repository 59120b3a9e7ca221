/** Figures as the shop writes them. */
import {
  inOwnUnits,
  printNumber,
  printTenth,
  printValue,
  printWholeAmps,
  readPlainNumber,
  spelled,
} from '@brannik/core'
import { useWorkspace } from '../shop/workspace.ts'

export function usePrint() {
  const workspace = useWorkspace()
  return {
    isMetric: (): boolean => workspace.notation.system === 'metric',
    print: (value: number | string, unit: string): string => printValue(value, unit, workspace.notation),
    /** In the units that the shop does not write. */
    printOther: (value: number, unit: string): string =>
      printValue(value, unit, {
        ...workspace.notation,
        system: workspace.notation.system === 'imperial' ? 'metric' : 'imperial',
      }),
    /** Words of the product as the shop spells; never what somebody named. */
    spell: (text: string): string =>
      inOwnUnits(spelled(text, workspace.notation.locale), workspace.notation.system),
    number: (value: number, digits?: number): string => printNumber(value, workspace.notation.locale, digits),
    tenth: (value: number): string => printTenth(value, workspace.notation.locale),
    readNumber: (text: string, unit: string): number | null =>
      readPlainNumber(text, unit, workspace.notation.locale),
    wholeAmps: (value: number): string => printWholeAmps(value, workspace.notation.locale),
  }
}
