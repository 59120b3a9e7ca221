/** What amps flow through and what is used up, one file a thing. */
export * from './circuit.ts'
export * from './consumables.ts'
export * from './gun.ts'
export * from './holding.ts'
export * from './part.ts'
export * from './powerSource.ts'
export * from './setUp.ts'
export * from './wireFeeder.ts'
