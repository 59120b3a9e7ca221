/**
 * The arc monitor: an outside device that is heard over WebSocket. Without one of the shop's own a simulated weld plays
 * it, started when somebody first looks.
 */
import { type ArcMonitor, startArcMonitor } from '@brannik/stand-ins'

export interface Monitor {
  /** Where it is heard. */
  url(): Promise<string>
  /** Whether what is heard is simulated. */
  readonly isStandIn: boolean
  close(): Promise<void>
}

/** @param url of the shop's own device; null starts the stand-in when it is first asked for */
export function monitorAt(url: string | null): Monitor {
  let standIn: Promise<ArcMonitor> | null = null
  return {
    isStandIn: url === null,
    async url() {
      if (url !== null) return url
      standIn ??= startArcMonitor()
      return (await standIn).url
    },
    async close() {
      await (await standIn)?.close()
    },
  }
}
