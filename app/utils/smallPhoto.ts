/** Longest side of a kept photo, px: enough to see a streak, small enough to send from a shed. */
const longest = 1600

/** A picture from a camera as a JPEG of modest size. Throws when it is no picture. */
export async function smallPhoto(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file)
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(bitmap.width * scale)
  canvas.height = Math.round(bitmap.height * scale)
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return new Promise((done, fail) =>
    canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('no picture'))), 'image/jpeg', 0.8),
  )
}

/** Ids of pictures that were sent before: one whose answer was lost is sent again as the same. */
const sent = new WeakMap<Blob, string>()

/** What a photo is of, as its address says it. */
export type PhotoOf = `${'batches' | 'trials' | 'lots' | 'notes'}/${string}`

/** Keeps a picture with what it is of and gives its id; `wanted` where it was given one before. Throws an ApiError, or what `smallPhoto` throws. */
export async function sendPhoto(of: PhotoOf, file: Blob, wanted = newId()): Promise<string> {
  const id = sent.get(file) ?? wanted
  sent.set(file, id)
  await api.file(`/api/${of}/photos/${id}`, await smallPhoto(file))
  return id
}
