/** A panel, with the breaker and the cable that feed it. */
import { z } from 'zod'
import { runShape } from './circuit.ts'
import { field } from '../model/field.ts'
import { idSchema, nameSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'

export const panelSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    /** Breaker and cable are those that feed it; of the service they are the main breaker and the service cable. */
    ...runShape,
    /** Null for the service: the supplier feeds it. */
    fedFromId: idSchema.nullable().meta(field('Fed from', { reference: 'panel', empty: 'the utility' })),
    /** A generator that feeds it instead. */
    generatorId: idSchema
      .nullable()
      .meta(field('Or from generator', { reference: 'generator', empty: 'none' })),
  })
  .check((ctx) => {
    const { id, fedFromId, generatorId } = ctx.value
    if (fedFromId === id)
      ctx.issues.push({
        code: 'custom',
        path: ['fedFromId'],
        input: fedFromId,
        message: 'is the panel itself. Choose the panel above it, or leave it empty for the utility',
      })
    if (fedFromId !== null && generatorId !== null)
      ctx.issues.push({
        code: 'custom',
        path: ['generatorId'],
        input: generatorId,
        message: 'is given beside another panel. A panel has one feed. Empty one of them',
      })
  })
export type Panel = z.infer<typeof panelSchema>

export const panelKind = defineKind({
  kind: 'panel',
  path: 'panels',
  listKey: 'panels',
  noun: 'panel',
  scope: 'building',
  writers: 'owner',
  most: 200,
  schema: panelSchema,
  upcasters: [],
  counting: null,
})
