/** Without TLS, and beside the shop: the two steps after which a tablet or a phone speaks TLS with it. Nothing else. */
import { createServer, type Server } from 'node:http'

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

const page = (address: string, fingerprint: string): string => `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Brannik on this device</title>
<style>
  body { font: 18px/1.5 system-ui, sans-serif; margin: 0 auto; max-width: 34rem; padding: 24px 16px; color-scheme: light dark; }
  a.step { display: block; border: 2px solid; border-radius: 6px; padding: 14px; text-align: center; margin: 8px 0; color: inherit; }
  code { overflow-wrap: anywhere; font-size: 15px; }
</style>
<h1>Brannik on this device</h1>
<p>Two steps, once on each tablet or phone.</p>
<ol>
  <li>
    <a class="step" href="/brannik-authority.crt">Install the shop’s certificate</a>
    Then open the settings of the device, search for “certificate”, choose the one named Brannik, and trust it.
  </li>
  <li><a class="step" href="${escaped(address)}">Open Brannik</a></li>
</ol>
<p>The shop’s machine shows the same fingerprint. If it does not, stop, and ask the owner.</p>
<p><code>${escaped(fingerprint)}</code></p>
<p>The certificate holds for private networks alone. It cannot pass for a bank or a shop on the web.</p>
</html>`

/** @param addressOf the shop's address, for one who asks by this name */
export const welcomeServer = (
  { authority, fingerprint }: { readonly authority: string; readonly fingerprint: string },
  addressOf: (host: string) => string,
): Server =>
  createServer({ maxHeaderSize: 8192 }, (request, response) => {
    const name = /^(?:[\w.-]+|\[[\da-f:]+\])(?=:\d+$|$)/i.exec(request.headers.host ?? '')?.[0] ?? 'localhost'
    const address = addressOf(name)
    if (request.url === '/brannik-authority.crt') {
      response.writeHead(200, {
        'Content-Type': 'application/x-x509-ca-cert',
        'Content-Disposition': 'attachment; filename="brannik-authority.crt"',
      })
      response.end(authority)
    } else if (request.url === '/') {
      response.writeHead(200, {
        'Content-Type': 'text/html; charset=utf-8',
        'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'",
        'Cache-Control': 'no-store',
      })
      response.end(page(address, fingerprint))
    } else {
      response.writeHead(404, { 'Content-Type': 'text/plain' })
      response.end(`Brannik is at ${address}\n`)
    }
  })
