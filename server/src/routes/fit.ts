/** A fit for another program: the whole question in, the findings out, nothing stored. */
import type { AddRoutes } from '../services.ts'

export const fitRoutes: AddRoutes = (api, { readBody }) => {
  api.on('post', '/fit', 'guest', async (request, response) => {
    const bytes = await readBody(request, { what: 'fit' })
    response.type('application/json').send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
  })
}
