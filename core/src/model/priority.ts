/** How jobs compare where not all can be in time. */
export const PRIORITIES = ['low', 'usual', 'high'] as const
export type Priority = (typeof PRIORITIES)[number]
