import type { FormulaDocument } from '#contracts/formula'
import type { PatchStep } from '#contracts/result'
import type { FormulaVersion } from '#contracts/version'
import type { StoredFormula } from '#contracts/workshop'
import { regionsFor } from '#core/character/regions'
import { traitsOf } from '#core/character/traits'
import { blankFormula } from '#core/formula/blank'
import { computeFormula } from '#core/formula/compute'
import { stillOpen } from '#core/formula/draft'
import { picturedBefore, thumbnailOf, toldApart } from '#core/batter/thumbnail'
import { faultsInFormula } from '#core/formula/faults'
import { onScale } from '#core/formula/onScale'
import { applyPatch } from '#core/formula/patch'
import { remarksOn } from '#core/remarks/index'
import type { LyeAge } from '#core/risk/uncertainty'
import { useEventListener } from '@vueuse/core'
import type { InjectionKey } from 'vue'

/**
 * One formula being worked on: the document with undo, everything computed from it at once, and saving by itself.
 * Nothing here waits for the network but the first load.
 */
export function createFormulaEditor(id: string) {
  const workshop = useWorkshop()
  const { library } = storeToRefs(useMaterials())
  const history = useHistory<FormulaDocument>(blankFormula('Formula'))
  const document = history.present
  const save = useAutosave(id, document)
  const loaded = ref(false)
  const problem = ref('')

  const result = computed(() => computeFormula(document.value, library.value))
  const faults = computed(() => faultsInFormula(document.value, library.value))
  /** How old the lye is taken to be, and how likely lye is left over with it. */
  const lyeAge = ref<LyeAge>(workshop.settings.lyeTin.open === 'longer' ? 'old' : 'fresh')
  const { risk, drawing } = useLyeRisk(document, result, lyeAge)
  const remarks = computed(() =>
    remarksOn(document.value, result.value, library.value, workshop.say, {
      ...workshop.settings,
      drawn: risk.value,
    }),
  )
  /** What a scale can weigh of it: the figures that page, sheet, plan and labels all show. */
  const weighed = computed(() => onScale(document.value, library.value, workshop.settings.scale))
  /** What is still to be typed before anything can be said of it. */
  const open = computed(() => stillOpen(document.value, library.value, workshop.say))
  /** What the typed line asks; while it does, no batch is made. */
  const question = ref('')
  const traits = computed(() => traitsOf(result.value, library.value))
  const regions = computed(() => regionsFor(document.value.use, workshop.settings.regions))
  const formulas = useFormulas()
  /** Its picture as it follows from the formula, told apart from those of the formulas that were there before it. */
  const unchosen = computed(() => {
    const me = { id, document: { ...document.value, thumbnail: undefined } }
    const before = formulas.list.filter((one) => one.id !== id && picturedBefore(one, me))
    const own = thumbnailOf(me.document, library.value)
    return toldApart(own, document.value.name, before.map(formulas.thumbnail))
  })
  const thumbnail = computed(() => document.value.thumbnail ?? unchosen.value)

  /** Its named versions, the latest first; empty while there are none or they could not be asked for. */
  const versions = shallowRef<FormulaVersion[]>([])
  async function loadVersions() {
    versions.value = await api
      .get<FormulaVersion[]>(`/api/formulas/${id}/versions`)
      .catch(() => versions.value)
  }

  /** Loads the formula; what this window had not got through before a reload or a crash goes on from there. */
  async function load() {
    try {
      const formula = await api.get<StoredFormula>(`/api/formulas/${id}`)
      const draft = await draftToTakeUp(id)
      // All in one go: between two of these steps the draft would seem to be settled.
      save.settle(formula)
      history.reset(formula.document)
      if (draft && JSON.stringify(draft.document) !== JSON.stringify(formula.document)) {
        save.resume(draft)
        history.set(draft.document)
      }
      loaded.value = true
      problem.value = ''
      void loadVersions()
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  /** Changes the document. The tag joins quick changes of one field into one step of undo. */
  function change(next: FormulaDocument, tag = '') {
    if (next !== document.value) history.set(next, tag)
  }
  /** Sets one place of the document. */
  function put(path: (string | number)[], value: unknown) {
    change(applyPatch(document.value, [{ path, value }]), path.join('.'))
  }
  const apply = (patch: PatchStep[]) => change(applyPatch(document.value, patch))

  useEventListener(window, 'keydown', (event) => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return
    if (globalThis.document.querySelector('[role="dialog"]')) return
    const letter = event.key.toLowerCase()
    const again = letter === 'y' || (letter === 'z' && event.shiftKey)
    if (letter !== 'z' && !again) return
    event.preventDefault()
    if (again) history.redo()
    else history.undo()
  })

  return {
    id,
    document,
    result,
    faults,
    remarks,
    risk,
    drawing,
    lyeAge,
    weighed,
    open,
    question,
    traits,
    regions,
    thumbnail,
    unchosen,
    history,
    save,
    loaded,
    problem,
    load,
    versions,
    change,
    put,
    apply,
  }
}

export type FormulaEditor = ReturnType<typeof createFormulaEditor>
const editorKey: InjectionKey<FormulaEditor> = Symbol('formula editor')

export function provideFormulaEditor(id: string): FormulaEditor {
  const editor = createFormulaEditor(id)
  provide(editorKey, editor)
  return editor
}

/** The editor of the page this component stands on. */
export function useFormulaEditor(): FormulaEditor {
  const editor = inject(editorKey)
  if (!editor) throw new Error('No formula editor on this page.')
  return editor
}
