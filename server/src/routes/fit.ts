/** A fit for another program: the whole question in, figures and sentences out, workings on request; nothing stored. */
import { CRITERIA } from '@brannik/core'
import { Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'

const IDS = new Set(CRITERIA.map(({ id }) => id))

/** `?explain=thickness,gas-use`, once or several times. */
function explainedOf(query: unknown): readonly string[] {
  const asked = (Array.isArray(query) ? query : [query]).flatMap((one) =>
    typeof one === 'string' ? one.split(',') : [],
  )
  const wrong = asked.find((id) => !IDS.has(id))
  if (wrong !== undefined)
    throw new Problem(
      400,
      'Not a criterion',
      `explain names “${wrong.slice(0, 40)}”, and there is no such criterion. The answer without it lists them.`,
    )
  return [...new Set(asked)]
}

export const fitRoutes: AddRoutes = (api, { readBody }) => {
  api.on('post', '/fit', 'guest', async (request, response) => {
    const explained = explainedOf(request.query['explain'])
    const bytes = await readBody(request, { what: 'fit', explained })
    response.type('application/json').send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
  })
}
