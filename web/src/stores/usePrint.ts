/** Figures as the shop writes them. */
import { printNumber, printValue, printWholeAmps } from '@brannik/core'
import { useWorkspace } from './workspace.ts'

export function usePrint() {
  const workspace = useWorkspace()
  return {
    print: (value: number | string, unit: string): string => printValue(value, unit, workspace.notation),
    number: (value: number, digits?: number): string => printNumber(value, workspace.notation.locale, digits),
    wholeAmps: (value: number): string => printWholeAmps(value, workspace.notation.locale),
  }
}
