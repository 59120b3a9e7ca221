import { expect, it } from 'vitest'
import { VIEWS } from '../views/index.ts'
import { helpOf } from './viewHelps.ts'

it('every view has its help, and there is none for what is no view', () => {
  for (const { name } of VIEWS) expect(helpOf(name), name).not.toEqual([])
  expect(helpOf('nowhere')).toEqual([])
})
