import type { PowerSource } from './powerSource.ts'

/** A set that makes its own power. */
export const isEngineDriven = ({ engine }: Pick<PowerSource, 'engine'>): boolean => engine !== null
