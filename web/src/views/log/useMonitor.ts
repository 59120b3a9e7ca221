/**
 * The arc monitor, live. A line that is cut comes back by itself and goes on after the last number; where a batch is
 * missing, the page asks again from before the hole.
 */
import { ArcMeter, type Measured, type Samples } from '@brannik/core'
import { onScopeDispose, ref, shallowRef } from 'vue'

interface Batch {
  readonly session: string
  readonly seq: number
  readonly atS: number
  readonly samplesPerS: number
  readonly readings: readonly (readonly [volts: number, amps: number, feed: number, flow: number])[]
}

/** What is drawn live, s. */
export const SHOWN_S = 60
const AGAIN_MS = 1500

/** @param wireGPerMm what one mm of the wire weighs, g; known once the set-up is */
export function useMonitor(wireGPerMm: () => number) {
  const state = ref<'off' | 'connecting' | 'live' | 'again'>('off')
  const isStandIn = ref(false)
  const measured = shallowRef<Measured | null>(null)
  const latest = shallowRef<Samples | null>(null)
  /** Times that the line was cut or a batch was missing. */
  const cuts = ref(0)
  let source: EventSource | null = null
  let meter = new ArcMeter()
  let session = ''
  let lastSeq = 0
  let incident = 'none'
  let timer = 0
  /** Of the last minute; every fifth reading of a hundred a second is enough to see. */
  let kept: [number, number, number, number, number][] = []

  function reset(): void {
    meter = new ArcMeter()
    kept = []
    lastSeq = 0
  }
  function take({ atS, samplesPerS, readings }: Batch): void {
    for (const [index, [volts, amps, feed, flow]] of readings.entries()) {
      const timeS = atS + index / samplesPerS
      meter.add(timeS, volts, amps, feed, flow)
      kept.push([timeS, volts, amps, feed, flow])
    }
    const from = (kept.at(-1)?.[0] ?? 0) - SHOWN_S
    if ((kept[0]?.[0] ?? 0) < from - 5) kept = kept.filter(([timeS]) => timeS >= from)
  }
  function show(): void {
    measured.value = meter.measured(wireGPerMm())
    const column = (place: 0 | 1 | 2 | 3 | 4): Float64Array => Float64Array.from(kept, (row) => row[place])
    latest.value = { time: column(0), volts: column(1), amps: column(2), feed: column(3), gas: column(4) }
  }
  function again(): void {
    cuts.value += 1
    state.value = 'again'
    source?.close()
    timer = window.setTimeout(connect, AGAIN_MS)
  }
  function hear(batch: Batch): void {
    if (batch.session !== session) {
      // The monitor began anew: its numbers and times are others.
      if (session !== '') reset()
      session = batch.session
    }
    if (batch.seq <= lastSeq) return
    if (batch.seq !== lastSeq + 1 && lastSeq > 0) {
      again()
      return
    }
    lastSeq = batch.seq
    state.value = 'live'
    take(batch)
    show()
  }
  function connect(): void {
    source = new EventSource(`/api/monitor?after=${lastSeq}&incident=${incident}`)
    source.addEventListener('about', (event) => {
      const about = JSON.parse(event.data as string) as { isStandIn: boolean }
      isStandIn.value = about.isStandIn
    })
    source.addEventListener('batch', (event) => hear(JSON.parse(event.data as string) as Batch))
    source.addEventListener('error', () => {
      if (state.value === 'off') return
      again()
    })
  }
  function stop(): void {
    state.value = 'off'
    window.clearTimeout(timer)
    source?.close()
    source = null
  }
  onScopeDispose(stop)
  return {
    state,
    isStandIn,
    measured,
    latest,
    cuts,
    /** @param which goes wrong, where a simulated weld plays the monitor */
    start(which: string): void {
      stop()
      incident = which
      session = ''
      cuts.value = 0
      reset()
      state.value = 'connecting'
      connect()
    },
    stop,
  }
}
