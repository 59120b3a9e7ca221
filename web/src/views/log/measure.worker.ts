/** Reads logs of measurements beside the page, which stays quick meanwhile. */
import { expose } from 'comlink'
import { openMeasurements, readMeasurements } from './measurements.ts'

const reader = { open: openMeasurements, read: readMeasurements }
export type MeasurementReader = typeof reader
expose(reader)
