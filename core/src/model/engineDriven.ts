import type { PowerSource } from './powerSource.ts'

/** A set that makes its own power. */
export const isEngineDriven = ({ processes }: Pick<PowerSource, 'processes'>): boolean =>
  processes.some(({ supplies }) => supplies.some(({ voltageV }) => voltageV === null))
