/** How names are put in order: `Bay 2` before `Bay 10`. One for all, since to make one costs more than to compare. */
const collator = new Intl.Collator(undefined, { numeric: true })

interface Named {
  readonly name: string
}

/** @example [{ name: 'Bay 10' }, { name: 'Bay 2' }].sort(byName)[0] // { name: 'Bay 2' } */
export const byName = (a: Named, b: Named): number => collator.compare(a.name, b.name)
