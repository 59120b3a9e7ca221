/** Works out what no plan can beat, in a thread of its own: the solver holds it until it is done. */
import { boundsOf, solveWith } from '@brannik/core'
import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import type { BoundAsked } from './searchMessages.ts'

const SECONDS = 20

addEventListener('message', ({ data }: MessageEvent<BoundAsked>) => {
  void highsLoader({ locateFile: () => runtime }).then((highs) => {
    postMessage(boundsOf(data.problem, data.cost, solveWith(highs, SECONDS)))
  })
})
