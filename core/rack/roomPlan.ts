import type { Place } from '#contracts/workshop'

/* Where the places of the room are drawn. */

/** A place that is somewhere: per cent of the room's picture, from its left wall and its floor. */
type Spot = NonNullable<Place['spot']>

/** Rows of places that find room over each other. */
const rows = 4
const [lowest, highest] = [7, 72]

/**
 * The places, each with a spot: those that nobody has put anywhere stand in columns, from the top down, first come first.
 * @example laidOut([{ id: '', name: 'Sill', kind: 'plank', bars: 20, spot: null }])[0].spot.y // 72
 */
export function laidOut(places: readonly Place[]): (Place & { spot: Spot })[] {
  const free = places.filter(({ spot }) => !spot)
  const columns = Math.max(1, Math.ceil(free.length / rows))
  const inColumn = Math.ceil(free.length / columns)
  const step = inColumn > 1 ? (highest - lowest) / (inColumn - 1) : 0
  const width = Math.floor(96 / columns) - 4
  return places.map((place) => {
    if (place.spot) return { ...place, spot: place.spot }
    const at = free.indexOf(place)
    const column = Math.floor(at / inColumn)
    return {
      ...place,
      spot: {
        x: 4 + column * (width + 4),
        y: Math.round(highest - (at % inColumn) * step),
        width,
      },
    }
  })
}
