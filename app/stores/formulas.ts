import type { FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import { blankFormula } from '#core/formula/blank'
import { defineStore } from 'pinia'

/** The formulas of the workshop, newest change first. */
export const useFormulas = defineStore('formulas', () => {
  const list = ref<StoredFormula[]>([])
  const loaded = ref(false)
  const problem = ref('')
  const toasts = useToasts()

  async function load() {
    try {
      list.value = await api.get<StoredFormula[]>('/api/formulas')
      problem.value = ''
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  function keep(formula: StoredFormula) {
    list.value = [formula, ...list.value.filter(({ id }) => id !== formula.id)]
  }

  /** A name no other formula has, by adding a number. */
  function freeName(wanted: string): string {
    const taken = new Set(list.value.map(({ document }) => document.name))
    let name = wanted
    for (let number = 2; taken.has(name); number++) name = `${wanted} ${number}`
    return name
  }

  /** Keeps a new document and gives its id. Throws an ApiError. */
  async function create(document: FormulaDocument = blankFormula(freeName('New formula'))) {
    const id = newId()
    keep(await api.put<StoredFormula>(`/api/formulas/${id}`, { revision: 0, document }))
    return id
  }

  const duplicate = (formula: StoredFormula) =>
    create({ ...formula.document, name: freeName(`${formula.document.name}, copy`) })

  async function rename(formula: StoredFormula, name: string) {
    const { id, revision, document } = formula
    const renamed = await api.put<StoredFormula>(`/api/formulas/${id}`, {
      revision,
      document: { ...document, name },
    })
    keep(renamed)
    if (name === document.name) return
    toasts.show(`Renamed to ${name}.`, { undo: () => rename(renamed, document.name) })
  }

  async function remove(formula: StoredFormula) {
    await api.remove(`/api/formulas/${formula.id}`)
    list.value = list.value.filter(({ id }) => id !== formula.id)
    toasts.show(`${formula.document.name} is deleted.`, {
      undo: async () => keep(await api.post<StoredFormula>(`/api/formulas/${formula.id}/restore`)),
    })
  }

  return { list, loaded, problem, load, create, duplicate, rename, remove, freeName }
})
