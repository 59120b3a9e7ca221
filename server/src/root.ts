/** The folder of the project: as deep below it lie the sources of the server and the server as it is built. */
export const ROOT = new URL('../../', import.meta.url)
