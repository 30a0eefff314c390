/**
 * A number as people write it: 1.5, 1,5, 1 1/2, 1,200. NaN when it is none.
 * @example readNumber('1 1/2') // 1.5
 */
export function readNumber(text: string): number {
  const clean = text.trim().replace(/−/g, '-')
  const mixed = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(clean)
  if (mixed) {
    const size = Number(mixed[2] ?? 0) + Number(mixed[3]) / Number(mixed[4])
    return mixed[1] ? -size : size
  }
  if (/^-?\d{1,3}([ , ]\d{3})+(\.\d+)?$/.test(clean)) return Number(clean.replace(/[ , ]/g, ''))
  if (/^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(clean)) return Number(clean.replace(',', '.'))
  return Number.NaN
}
