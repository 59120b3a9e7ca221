/** What a job asks of a set-up, for the choice of its parts. */
import type { Demands } from '../assembly/assembly.ts'
import { demandsOf } from '../assembly/demands.ts'
import { contextOf, type FitInput } from './context.ts'

/** @returns current, duty, metals, positions and fillers of the job with this set-up's process */
export const jobDemands = (input: FitInput): Demands => demandsOf(contextOf(input, false))
