/** A picture made small enough to travel in its event. */
import { MOST_PICTURE } from '@brannik/core'

/** Widths and qualities that are tried, the best first. */
const TRIES = [
  [960, 0.7],
  [640, 0.6],
  [480, 0.5],
  [320, 0.4],
] as const

/**
 * @returns a JPEG as a data URL
 * @throws Error where it is no picture
 */
export async function smallPicture(file: Blob): Promise<string> {
  const image = await createImageBitmap(file).catch(() => null)
  if (!image) throw new Error('This file is no picture. Choose a JPEG, PNG or WebP.')
  for (const [width, quality] of TRIES) {
    const scale = Math.min(1, width / image.width)
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(image.width * scale))
    canvas.height = Math.max(1, Math.round(image.height * scale))
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    const made = canvas.toDataURL('image/jpeg', quality)
    if (made.length <= MOST_PICTURE) return made
  }
  throw new Error('This picture is too large. Crop it to the weld.')
}
