import type { FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import { thumbnailOf, thumbnailsOf } from '#core/batter/thumbnail'
import { blankFormula } from '#core/formula/blank'
import { defineStore } from 'pinia'

/** The formulas of the workshop, newest change first. */
export const useFormulas = defineStore('formulas', () => {
  const documents = useDocuments<FormulaDocument>('/api/formulas', ({ name }) => name)
  const toasts = useToasts()
  const materials = useMaterials()
  /** The picture of each, told apart from those before it. */
  const thumbnails = computed(() => thumbnailsOf(documents.list.value, materials.library))
  const thumbnail = ({ id, document }: Pick<StoredFormula, 'id' | 'document'>) =>
    thumbnails.value.get(id) ?? thumbnailOf(document, materials.library)

  /** A name no other formula has, by adding a number. */
  function freeName(wanted: string): string {
    const taken = new Set(documents.list.value.map(({ document }) => document.name))
    let name = wanted
    for (let number = 2; taken.has(name); number++) name = `${wanted} ${number}`
    return name
  }

  /** Of the formula that is made next: after a lost answer, a second press makes the same one. */
  let nextId = newId()
  /** Keeps a new document and gives its id. Throws an ApiError. */
  async function create(
    document: FormulaDocument = blankFormula(freeName('New formula'), useWorkshop().settings.begin),
  ) {
    try {
      const { id } = await documents.save(nextId, 0, document)
      nextId = newId()
      return id
    } catch (error) {
      if (error instanceof ApiError && error.status > 0) nextId = newId()
      throw error
    }
  }

  const duplicate = (document: FormulaDocument) =>
    create({ ...document, name: freeName(`${document.name}, copy`) })

  async function rename({ id, revision, document }: StoredFormula, name: string) {
    const renamed = await documents.save(id, revision, { ...document, name })
    if (name === document.name) return
    toasts.show(`Renamed to ${name}.`, { undo: () => rename(renamed, document.name) })
  }

  return { ...documents, thumbnail, thumbnails, create, duplicate, rename, freeName }
})
