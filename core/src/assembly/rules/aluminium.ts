/** How stiff an aluminium wire is: what can be pushed depends on it. */

/** Silicon and pure-aluminium wires are soft, magnesium wires stiff (AWS A5.10 classes, common practice). */
export const isSoft = (classification: string): boolean => /(?:ER|R|E)?\s*(?:4|1)\d{3}/i.test(classification)
