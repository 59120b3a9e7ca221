/** The help of every view, found beside it: fetched with the first (?) that is pressed, not with the page. */
const found = import.meta.glob<{ readonly HELP: Readonly<Record<string, readonly string[]>> }>(
  '../views/*/help.ts',
  { eager: true },
)
const BY_NAME = Object.assign({}, ...Object.values(found).map(({ HELP }) => HELP)) as Readonly<
  Record<string, readonly string[]>
>

/** @returns how to read a view, a sentence or two each; empty for one that has none */
export const helpOf = (name: string): readonly string[] => BY_NAME[name] ?? []
