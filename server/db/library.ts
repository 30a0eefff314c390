import { library, type Library } from '#core/materials/library'
import { libraryWith } from '#core/materials/own'
import type { Db } from './connection'
import { blends, colours, materials } from './documents'
import { knownOf } from './known'
import { offsetsIn } from './forecasts'
import { getWorkshop } from './workshop'

/** The library as this workshop has it: what ships with Mantle, with its own materials, values, scents and colours. */
export function workshopLibrary(db: Db): Library {
  const own = materials.list(db).map(({ document }) => document)
  return {
    ...libraryWith(library, own, getWorkshop(db).spoons, blends.list(db)),
    scents: knownOf(db),
    colours: new Map(colours.list(db).map(({ id, document }) => [id, document])),
    offsets: offsetsIn(db),
  }
}
