/** How much a property tries: little in the gate, very much in `npm run test:long`, least before the mutation tester. */
export const isLong = process.env['TEST_LONG'] === '1'
const isShort = process.env['TEST_SHORT'] === '1'
const MORE = 25
const LESS = 5

/** @param few that are enough for the gate */
export const runs = (few: number): number => (isLong ? few * MORE : isShort ? Math.ceil(few / LESS) : few)
