/**
 * Property tests begin from one seed, so that a run says the same of the same code; `SEED=random npx vitest run`
 * seeks anew, and a counterexample found so becomes an example of its test.
 */
import fc from 'fast-check'

const SEED = process.env['SEED'] ?? '20261126'
if (SEED !== 'random') fc.configureGlobal({ seed: Number(SEED) })
