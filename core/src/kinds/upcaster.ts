/** Steps from one version of a document to the next: pure, and good for what is half typed too. */
export type Fields = Readonly<Record<string, unknown>>
/** From one version to the next. It sees what was typed, whole or half, and leaves what is there already. */
export type Upcaster = (record: Fields) => Fields

export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Every record of a list with fields that it did not have. */
export const eachOf = (list: unknown, fields: Fields): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => (isFields(one) ? { ...fields, ...one } : one)) : list

/** @returns a step that takes a field away */
export const without =
  (field: string): Upcaster =>
  ({ [field]: _left, ...record }) =>
    record
