/** One thread of two that work out a board: it has the shop, is told which jobs, and answers with their cells. */
import { parentPort, workerData } from 'node:worker_threads'
import { Board } from '../../core/src/board/board.ts'
import type { demo } from './demo.ts'

const shop = workerData as typeof demo
const board = new Board(shop.shop, shop, shop.setUps)
parentPort?.on('message', ([from, to]: readonly [number, number]) => {
  parentPort?.postMessage(shop.jobs.slice(from, to).flatMap((job) => board.row({ ...job })))
})
