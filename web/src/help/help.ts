/** The parts of the help: its dialog shows one at a time. */
export type HelpPart = 'keys' | 'words'
