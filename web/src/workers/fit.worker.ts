/** Fits a large job away from the page, so that typing stays smooth. */
import { type FitInput, fitJob, type FitOptions, planJob } from '@brannik/core'
import { expose } from 'comlink'

const api = {
  fit: (input: FitInput, options: FitOptions) => fitJob(input, options),
  plan: (input: FitInput) => planJob(input),
}
export type FitWorker = typeof api

expose(api)
