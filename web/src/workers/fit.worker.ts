/** Fits a large job away from the page, so that typing stays smooth. */
import {
  type Entered,
  type Fit,
  type FitInput,
  fitJob,
  type FitOptions,
  planJob,
  suggest,
} from '@brannik/core'
import { expose } from 'comlink'

const api = {
  fit: (input: FitInput, options: FitOptions) => fitJob(input, options),
  plan: (input: FitInput) => planJob(input),
  suggest: (entered: Entered, fit: Fit, most: number) => suggest(entered, fit, most),
}
export type FitWorker = typeof api

expose(api)
