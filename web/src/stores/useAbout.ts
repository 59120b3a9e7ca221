/** Thicknesses that are reckoned, as the shop writes them. */
import { printValue } from '@brannik/core'
import { useWorkspace } from '../shop/workspace.ts'

const MM_PER_INCH = 25.4
const SIXTEENTHS = 16
const NEARLY = 1e-3

/** @returns prints mm: two figures are as much as anybody knows of it, a fraction of an inch stays one */
export function useAbout(): (mm: number) => string {
  const workspace = useWorkspace()
  return (mm) => {
    const unit = workspace.notation.system === 'imperial' ? MM_PER_INCH : 1
    const sixteenths = (mm / unit) * SIXTEENTHS
    const isFraction =
      unit !== 1 && Math.abs(sixteenths - Math.round(sixteenths)) < NEARLY && sixteenths > 0.5
    return printValue(isFraction ? mm : Number((mm / unit).toPrecision(2)) * unit, 'mm', workspace.notation)
  }
}
