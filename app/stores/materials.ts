import type { OwnMaterial } from '#contracts/material'
import { libraryIn } from '#core/materials/inUnits'
import type { Library } from '#core/materials/library'
import { libraryWith } from '#core/materials/own'
import { defineStore } from 'pinia'

/** Two hundred materials are a file of their own: it is read beside the frame of the page, not before it. */
const ships = import('#core/materials/library')
const none: Library = { fats: new Map(), liquids: new Map(), additives: new Map() }

/** The library as this workshop has it: what ships with Mantle, with its own materials and values. */
export const useMaterials = defineStore('materials', () => {
  const documents = useDocuments<OwnMaterial>('/api/materials', ({ name }) => name)
  const workshop = useWorkshop()
  const blends = useBlends()
  /** What ships with Mantle; empty until `loaded`. */
  const shipped = shallowRef(none)
  const materials = computed(() =>
    libraryIn(
      libraryWith(
        shipped.value,
        documents.list.value.map(({ document }) => document),
        workshop.settings.spoons,
        blends.list,
      ),
      workshop.say,
    ),
  )
  const scents = useScents()
  const colours = useColours()
  const library = computed((): Library => ({
    ...materials.value,
    scents: scents.known,
    colours: colours.known,
    offsets: workshop.offsets,
  }))
  async function load() {
    try {
      shipped.value = (await ships).library
    } catch (error) {
      documents.problem.value = sentenceOf(error)
      return
    }
    await Promise.all([documents.load(), scents.loadKnown(), colours.load(), blends.load()])
  }
  /** The workshop's record for a material, if it has one. */
  const recordOf = (id: string) => documents.list.value.find((stored) => stored.id === id)
  return { ...documents, load, shipped, library, recordOf }
})
