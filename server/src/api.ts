/** The routes of the API, each with the role that it asks: a route without one cannot be written. */
import { type RequestHandler, Router } from 'express'
import { allow } from './access/actor.ts'
import type { Needs } from './access/roles.ts'

type Method = 'get' | 'post' | 'put' | 'delete'

export interface ListedRoute {
  readonly method: Method
  /** Whole, with `:parameters`. */
  readonly path: string
  readonly needs: Needs
}

export interface Api {
  readonly router: Router
  /** All that was registered, for the OpenAPI document's check and the walk over routes and roles. */
  readonly listed: readonly ListedRoute[]
  on(method: Method, path: string, needs: Needs, ...handlers: RequestHandler[]): void
}

/** @param base under which the router is mounted */
export function createApi(base: string): Api {
  const router = Router()
  const listed: ListedRoute[] = []
  return {
    router,
    listed,
    on(method, path, needs, ...handlers) {
      listed.push({ method, path: base + path, needs })
      router[method](path, allow(needs), ...handlers)
    },
  }
}
