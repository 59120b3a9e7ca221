/** Whether a filler is fed off a spool, or held in the hand. */
import type { Wire } from './wire.ts'

/** @returns false for a rod and for a covered electrode */
export const isSpooled = ({ form }: Pick<Wire, 'form'>): boolean => form !== 'rod' && form !== 'covered'
