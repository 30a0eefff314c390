import type { Formatter } from '../units/formatter'
import type { Library } from './library'

/**
 * The library with the temperatures in its words in the workshop's degrees; itself where those are °C.
 * @example libraryIn(shipped, say) === shipped // true
 */
export function libraryIn(library: Library, say: Formatter): Library {
  if (say.degrees === 'C') return library
  return {
    ...library,
    fats: new Map(
      [...library.fats].map(([id, fat]) => [
        id,
        {
          ...fat,
          name: say.inUnits(fat.name),
          mixUp: fat.mixUp === undefined ? undefined : say.inUnits(fat.mixUp),
        },
      ]),
    ),
    liquids: new Map(
      [...library.liquids].map(([id, liquid]) => [
        id,
        { ...liquid, mind: say.inUnits(liquid.mind) },
      ]),
    ),
  }
}
