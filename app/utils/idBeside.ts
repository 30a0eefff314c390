/**
 * The id under which something that was told of one batch is told of another too: always the same, so that what is sent twice is kept
 * once, and what is taken back is found.
 */
export function idBeside(id: string, batchId: string): string {
  const part = (of: string) => Number.parseInt(of.slice(-12), 16)
  const [a, b] = [part(id), part(batchId)]
  // By halves: more than 32 bits cannot be mixed at once.
  const half = 2 ** 24
  const high = (Math.floor(a / half) ^ Math.floor(b / half)) >>> 0
  const low = ((a % half) ^ (b % half)) >>> 0
  return id.slice(0, -12) + (high * half + low).toString(16).padStart(12, '0')
}
