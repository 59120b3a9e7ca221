/** How much a property tries: little in the gate, very much in `npm run test:long`. */
export const isLong = process.env['TEST_LONG'] === '1'
const MORE = 25

/** @param few that are enough for the gate */
export const runs = (few: number): number => (isLong ? few * MORE : few)
