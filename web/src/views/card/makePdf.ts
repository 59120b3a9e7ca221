/** A PDF is laid out in a thread of its own, which ends with it. */
import { wrap } from 'comlink'
import { downloadBytes } from '../../files/download.ts'
import type { PdfMaker } from './pdf.worker.ts'

/**
 * @param make what is asked of the thread
 * @param name of the file that the browser gets
 * @throws whatever the layout fails with
 */
export async function makePdf(
  make: (maker: ReturnType<typeof wrap<PdfMaker>>) => Promise<Uint8Array>,
  name: string,
): Promise<void> {
  const thread = new Worker(new URL('./pdf.worker.ts', import.meta.url), { type: 'module' })
  try {
    downloadBytes(name, await make(wrap<PdfMaker>(thread)), 'application/pdf')
  } finally {
    thread.terminate()
  }
}
