/** Fits a large job away from the page, so that typing stays smooth. */
import { type FitInput, fitJob, type FitOptions } from '@brannik/core'
import { expose } from 'comlink'

const api = {
  fit: (input: FitInput, options: FitOptions) => fitJob(input, options),
}
export type FitWorker = typeof api

expose(api)
