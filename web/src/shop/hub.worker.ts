/** The thread that all pages of this version share: it lives as long as one of them. */
import { createHub } from './hub.ts'

/** What a page asks: to hear from a position on, or, with nothing, to be left alone. */
export interface Asked {
  readonly hear?: { readonly since: string | null }
}

const hub = createHub()
const scope = globalThis as unknown as { onconnect: (event: MessageEvent) => void }
scope.onconnect = ({ ports: [port] }) => {
  if (!port) return
  port.onmessage = ({ data }: MessageEvent<Asked>) => {
    if (data.hear) hub.hear(port, data.hear.since)
    else hub.leave(port)
  }
}
