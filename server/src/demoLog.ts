/** What happened in the demo shop so far: welds, changed parts and evidence, recorded as anybody records them. */
import { readFile } from 'node:fs/promises'
import { type NewEvent, newEventSchema, readDocument } from '@brannik/core'
import { z } from 'zod'
import type { Connection } from './database.ts'
import type { DemoId } from './demoShop.ts'
import { addEvent } from './events/store.ts'
import { ROOT } from './root.ts'

const FILES: Readonly<Record<DemoId, string>> = {
  inch: 'demo/tollgate-orchard-works-log.json',
  metric: 'demo/tollgate-orchard-works-metric-log.json',
}
const fileSchema = z.strictObject({
  format: z.literal('brannik-log'),
  version: z.literal(1),
  events: z.array(z.unknown()),
})

const TIME = /\b20\d\d-\d\d-\d\dT[\d:.]+Z/g
const DAY_MS = 86_400_000

/** Whole days later or earlier, so that the last thing happened yesterday: what is recorded from now on comes after it. */
function upToYesterday(text: string, nowMs: number): string {
  const lastMs = Math.max(...(text.match(TIME) ?? []).map((one) => Date.parse(one)))
  const days = Math.floor((nowMs - lastMs) / DAY_MS)
  return text.replaceAll(TIME, (one) => new Date(Date.parse(one) + days * DAY_MS).toISOString())
}

export async function recordDemoLog(connection: Connection, demo: DemoId): Promise<void> {
  const text = await readFile(new URL(FILES[demo], ROOT), 'utf8')
  const { events } = fileSchema.parse(JSON.parse(upToYesterday(text, Date.now())))
  for (const one of events) {
    const read = readDocument<NewEvent>(newEventSchema, one)
    if (!read.ok) throw new Error(`The demo log is not valid: ${JSON.stringify(read.problems)}`)
    await addEvent(connection, { who: 'the demo', id: null }, null, read.value)
  }
}
