import { library, type Library } from '#core/materials/library'
import { libraryWith } from '#core/materials/own'
import type { Db } from './connection'
import { materials } from './documents'
import { getWorkshop } from './workshop'

/** The library as this workshop has it: what ships with Mantle, with its own materials and values. */
export function workshopLibrary(db: Db): Library {
  return libraryWith(
    library,
    materials.list(db).map(({ document }) => document),
    getWorkshop(db).spoons,
  )
}
