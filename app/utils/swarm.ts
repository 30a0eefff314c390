/** Where each of some things stands so that none hides another: its place along the plank, and its level over it. */
export interface Stood {
  at: number
  level: number
}

/**
 * Puts things on a plank at their places: what wants the same place stands over it, in several columns beside each other where there
 * are too many for one.
 * @param rows how many may stand over each other
 */
export function piled(places: readonly number[], width: number, rows: number): Stood[] {
  const order = places.map((_, index) => index).sort((a, b) => places[a]! - places[b]!)
  const stood = new Array<Stood>(places.length)
  for (let from = 0; from < order.length;) {
    const start = places[order[from]!]!
    let to = from + 1
    while (to < order.length && places[order[to]!]! - start < width) to++
    const some = order.slice(from, to)
    const columns = Math.ceil(some.length / rows)
    const middle = some.reduce((sum, index) => sum + places[index]!, 0) / some.length
    some.forEach((index, nth) => {
      const column = nth % columns
      stood[index] = {
        // By itself each stands where it belongs; a pile stands around its middle.
        at: columns === 1 ? places[index]! : middle + (column - (columns - 1) / 2) * width,
        level: Math.floor(nth / columns),
      }
    })
    from = to
  }
  return stood
}

/** Whether piles keep off each other at this width. */
export function pilesFit(places: readonly number[], width: number, rows: number): boolean {
  const stood = piled(places, width, rows).sort((a, b) => a.level - b.level || a.at - b.at)
  return stood.every((one, nth) => {
    const next = stood[nth + 1]
    return !next || next.level !== one.level || next.at - one.at >= width - 0.5
  })
}

/** Round figures between two, about so many, the first not below the low end. */
export function roundTicks(low: number, high: number, about: number): number[] {
  const span = high - low
  if (!(span > 0)) return [low]
  const raw = span / Math.max(1, about)
  const power = 10 ** Math.floor(Math.log10(raw))
  const step = [1, 2, 5, 10].find((times) => times * power >= raw)! * power
  const first = Math.ceil(low / step - 1e-9)
  const count = Math.floor(high / step + 1e-9) - first + 1
  return Array.from({ length: Math.max(0, count) }, (_, nth) => (first + nth) * step)
}
