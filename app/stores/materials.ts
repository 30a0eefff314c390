import type { OwnMaterial } from '#contracts/material'
import { library as shipped } from '#core/materials/library'
import { libraryIn } from '#core/materials/inUnits'
import { libraryWith } from '#core/materials/own'
import { defineStore } from 'pinia'

/** The library as this workshop has it: what ships with Mantle, with its own materials and values. */
export const useMaterials = defineStore('materials', () => {
  const documents = useDocuments<OwnMaterial>('/api/materials', ({ name }) => name)
  const workshop = useWorkshop()
  const library = computed(() =>
    libraryIn(
      libraryWith(
        shipped,
        documents.list.value.map(({ document }) => document),
        workshop.settings.spoons,
      ),
      workshop.say,
    ),
  )
  /** The workshop's record for a material, if it has one. */
  const recordOf = (id: string) => documents.list.value.find((stored) => stored.id === id)
  return { ...documents, library, recordOf }
})
