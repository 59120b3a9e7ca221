/** Reads logs of measurements beside the page, which stays quick meanwhile. */
import { expose } from 'comlink'
import { textOf } from '../../files/textOf.ts'
import { type MeasurementOpened, openMeasurements, readMeasurements } from './measurements.ts'

const reader = {
  async open(file: File): Promise<MeasurementOpened> {
    const read = await textOf(file, 'a log of measurements')
    return read.ok ? openMeasurements(read.text) : read
  },
  read: readMeasurements,
}
export type MeasurementReader = typeof reader
expose(reader)
