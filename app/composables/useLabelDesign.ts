import type { LabelDesign, LabelElement } from '#contracts/label'
import { mergedDesign } from '#core/label/merge'

/** ms of quiet before what was changed is kept. */
const pace = 500

/** A design that is being changed: undo and redo here, kept on the server by itself, one request at a time. */
export function useLabelDesign(id: Ref<string>) {
  const designs = useDesigns()
  const toasts = useToasts()
  const stored = computed(() => designs.list.find((one) => one.id === id.value))
  const history = useHistory<LabelDesign | null>(null)
  const state = ref<'saved' | 'saving' | 'refused'>('saved')
  const problem = ref('')
  let revision = 0
  /** The design as of that revision: what changes are counted from. */
  let base: LabelDesign | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<unknown> = Promise.resolve()
  /** Whose design stands here: another may be chosen while an answer is on its way. */
  let at = ''

  /** Another design is chosen: what was changed of this one is kept all the same. */
  function leave() {
    clearTimeout(timer)
    const document = history.present.value
    if (document && state.value !== 'saved')
      designs
        .save(at, revision, document)
        .catch((error: unknown) => toasts.show(sentenceOf(error), { bad: true }))
    state.value = 'saved'
    problem.value = ''
  }
  /** Begins anew from what is kept, but never over what is typed here. */
  watch(
    [id, stored],
    ([now, kept]) => {
      const isOther = now !== at
      if (isOther) leave()
      else if (state.value !== 'saved' || kept?.revision === revision) return
      at = now
      revision = kept?.revision ?? 0
      base = kept?.document ?? null
      if (kept || isOther) history.reset(base)
    },
    { immediate: true },
  )
  async function send() {
    const document = history.present.value
    const whose = at
    if (!document || state.value === 'saved') return
    try {
      const kept = await designs.save(whose, revision, document)
      if (whose !== at) return
      revision = kept.revision
      base = kept.document
      problem.value = ''
      if (history.present.value === document) state.value = 'saved'
      else soon()
    } catch (error) {
      if (whose !== at) return
      problem.value = sentenceOf(error)
      state.value = 'refused'
      const theirs = newerOf<LabelDesign>(error)
      if (!theirs || !base) return void (timer = setTimeout(() => void flush(), 3000))
      // Another window changed it too: what each changed goes together, and undo goes back to this window's.
      history.set(mergedDesign(base, history.present.value ?? document, theirs.document))
      revision = theirs.revision
      base = theirs.document
      toasts.show('This design was changed elsewhere too: what both changed is together now.')
      state.value = 'saving'
      soon()
    }
  }
  const flush = () => (sending = sending.then(send, send))
  function soon() {
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), pace)
  }
  function set(document: LabelDesign, tag = '') {
    history.set(document, tag)
    state.value = 'saving'
    soon()
  }
  const step = (act: () => void) => {
    act()
    state.value = 'saving'
    soon()
  }
  /** Changes one element. */
  function change(elementId: string, changes: Partial<LabelElement>, tag = '') {
    const design = history.present.value
    if (!design) return
    const elements = design.elements.map((one) =>
      one.id === elementId ? { ...one, ...changes } : one,
    )
    set({ ...design, elements }, tag && `${elementId}-${tag}`)
  }
  onScopeDispose(() => {
    clearTimeout(timer)
    void flush()
  })
  return {
    design: history.present,
    state,
    problem,
    set,
    change,
    flush: () => {
      clearTimeout(timer)
      return flush()
    },
    undo: () => step(history.undo),
    redo: () => step(history.redo),
    canUndo: history.canUndo,
    canRedo: history.canRedo,
  }
}
export type LabelEditing = ReturnType<typeof useLabelDesign>
