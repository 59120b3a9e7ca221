/**
 * @returns the value at a place in a record, however deep; undefined for no such place
 * @example valueAt({ feeder: { gunConnector: 'central' } }, ['feeder', 'gunConnector']) // 'central'
 */
export const valueAt = (record: unknown, steps: readonly (string | number)[]): unknown =>
  steps.reduce<unknown>(
    (value, step) => (typeof value === 'object' && value !== null ? Reflect.get(value, step) : undefined),
    record,
  )
