/** The server's certificate: taken from files, or made for the shop's own network; and renewed while it runs. */
import { readFile } from 'node:fs/promises'
import type { Server } from 'node:http'
import type { Server as TlsServer } from 'node:https'
import type { Logger } from 'pino'
import type { Access, TlsSettings } from '../config.ts'
import { listen } from '../listen.ts'
import type { Credentials, OwnCertificate } from './authority.ts'

const RENEW_MS = 86_400_000

export interface Tls extends Credentials {
  /** @returns what stops it */
  renew(server: Server, logger: Logger): () => void
  /** Gives out the authority, where there is one to give; null where there is none. */
  welcome(
    host: string,
    port: number,
  ): Promise<{ readonly port: number; readonly fingerprint: string; close(): void } | null>
}

/** The packages that make certificates are read where one is made. */
const make = async (folder: string, names: readonly string[]): Promise<OwnCertificate> =>
  (await import('./authority.ts')).ownCertificate(folder, names)

export async function openTls(settings: TlsSettings, { allowedHosts }: Access): Promise<Tls> {
  const own = (): Promise<OwnCertificate> =>
    make('folder' in settings ? settings.folder : '', [...allowedHosts])
  const read = async (): Promise<Credentials> =>
    'folder' in settings
      ? own()
      : { cert: await readFile(settings.certFile, 'utf8'), key: await readFile(settings.keyFile, 'utf8') }
  return {
    ...(await read()),
    renew(server, logger) {
      const timer = setInterval(() => {
        read().then(
          (credentials) => {
            ;(server as TlsServer).setSecureContext(credentials)
          },
          (error: unknown) => {
            logger.warn(error, 'the certificate could not be read again; it is tried again in a day')
          },
        )
      }, RENEW_MS)
      timer.unref()
      return () => {
        clearInterval(timer)
      }
    },
    async welcome(host, port) {
      if (!('folder' in settings) || settings.welcomePort === null) return null
      const { welcomeServer } = await import('./welcome.ts')
      const certificate = await own()
      const server = welcomeServer(certificate, (name) => `https://${name}:${port}/`)
      return {
        port: await listen(server, settings.welcomePort, host),
        fingerprint: certificate.fingerprint,
        close: () => {
          server.closeAllConnections()
          server.close()
        },
      }
    },
  }
}
