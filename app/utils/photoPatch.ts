import { patchSide, type Patch } from '#core/scents/colour'

/** A photo as it is read, no larger than needed to tell a colour. */
const widest = 1200

/** Draws a picture file small enough to work with. Rejects when it is none. */
export async function photoCanvas(file: Blob): Promise<HTMLCanvasElement> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, widest / picture.width)
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas
    .getContext('2d', { willReadFrequently: true })!
    .drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas
}

/** The pixels around a point of a picture. */
export function patchAt(canvas: HTMLCanvasElement, x: number, y: number): Patch {
  const half = Math.floor(patchSide / 2)
  const left = Math.max(0, Math.min(canvas.width - patchSide, Math.round(x) - half))
  const top = Math.max(0, Math.min(canvas.height - patchSide, Math.round(y) - half))
  const { data } = canvas
    .getContext('2d', { willReadFrequently: true })!
    .getImageData(left, top, patchSide, patchSide)
  return Array.from({ length: data.length / 4 }, (_, at) => [
    data[at * 4]!,
    data[at * 4 + 1]!,
    data[at * 4 + 2]!,
  ])
}
