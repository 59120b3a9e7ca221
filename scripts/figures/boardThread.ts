/** One thread of two that work out a board: it has the shop, is told which jobs, and answers with their rows. */
import { parentPort, workerData } from 'node:worker_threads'
import { Board } from '../../core/src/board/board.ts'
import { packedRow, placesOf } from '../../core/src/board/packed.ts'
import type { demo } from './demo.ts'

const shop = workerData as typeof demo
const board = new Board(shop.shop, shop, shop.setUps)
const places = placesOf(shop.setUps.map(({ id }) => id))
parentPort?.on('message', ([from, to]: readonly [number, number]) => {
  const rows = shop.jobs.slice(from, to).map((job) => packedRow(job.id, board.row({ ...job }), places))
  parentPort?.postMessage(rows)
})
