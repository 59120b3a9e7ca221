/** Small services that play what is outside: an arc monitor, a supplier. */
export * from './arcMonitor.ts'
export * from './supplier.ts'
