/** What a language has to give: a second one is one more file of this shape. */

/** Templates: `{name}` is filled from the parameters; `{name|or}` joins a list by that word of the language. */
export type Templates = Readonly<Record<string, string>>

/** All that is said of one criterion. */
export interface CriterionWords {
  /** Its name; the parameters of the assessment may stand in it. */
  readonly title: string
  /** What limits a cell of the board, in two words; the title where there is none. */
  readonly short?: string
  /** The same where the demand is below what is there. */
  readonly shortLow?: string
  /** By code, without a full stop. `{demand}`, `{capacity}` are its figures. */
  readonly sentences: Templates
  /** What the columns “wants” and “gives” show where it measures nothing. */
  readonly sides?: { readonly demand?: string; readonly capacity?: string }
}

export interface Language {
  /** Words for codes of the model, by kind: `process`, `groove`, `connector` and so on. */
  readonly vocabulary: Readonly<Record<string, Templates>>
  readonly criteria: Readonly<Record<string, CriterionWords>>
  /** Names of the rows in which several criteria stand. */
  readonly groups: Readonly<Record<string, { readonly title: string; readonly well: string }>>
  /** What is missing, by code: follows "Not known:". */
  readonly missing: Templates
  readonly notKnown: string
  /** Why no set-up can be put together: follows the name of the process. */
  readonly lacks: Templates
  readonly suggestions: Templates
  readonly chain: Templates
  readonly cautions: Readonly<Record<string, { readonly topic: string; readonly text: string }>>
  readonly plate: Templates
  readonly ways: Templates
  readonly fillets: Templates
  readonly sources: Templates
}

/** What is said at the machine: fetched with the card and the changeover, and no sooner. */
export interface BenchLanguage {
  /** Words for codes that are said at the machine alone. */
  readonly vocabulary: Language['vocabulary']
  /** Steps of a changeover, what is easily missed at them, what can hurt, and the tools. */
  readonly change: Templates
  readonly traps: Templates
  readonly hazards: Templates
  readonly tools: Templates
  readonly handOver: Templates
  /** What a card says, its titles, steps, signs of trouble and what to change. */
  readonly card: Templates
  readonly cardFigures: Templates
  readonly cardPlaces: Templates
  readonly cardSteps: Templates
  readonly signs: Templates
  readonly signChanges: Templates
  /** Causes of a bad bead by name; their tests, changes and ways back. */
  readonly causes: Templates
  readonly dialIn: Templates
  /** What is looked at on a finished weld. */
  readonly visual: Templates
  /** How the arc runs, and the colors of a TIG bead. */
  readonly arcStates: Templates
  readonly heatColors: Templates
}
