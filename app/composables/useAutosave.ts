import type { FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import { useDebounceFn, useEventListener } from '@vueuse/core'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'refused' | 'conflict' | 'deleted'

/** ms of quiet before a save (four times that at most), and between tries when the server does not answer. */
const pace = 250
const retryAfter = 3000

/**
 * Keeps a document on the server by itself: at most one request at a time, always the newest document, tried again
 * until it is acknowledged. Until then it lies among this window's drafts.
 */
export function useAutosave(id: string, document: Readonly<Ref<FormulaDocument>>) {
  const state = ref<SaveState>('saved')
  const problem = ref('')
  const revision = ref(0)
  const theirs = shallowRef<StoredFormula | null>(null)
  /** Whether what is not sent yet would survive a reload. */
  const safe = ref(true)
  /** The document as of the revision: what changes are counted from. */
  let base = document.value
  let sending: Promise<void> | null = null
  let acknowledged: FormulaDocument | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  const remember = () => {
    safe.value = rememberDraft(id, {
      revision: revision.value,
      base,
      document: document.value,
      at: new Date(useWorkshop().clock()).toISOString(),
    })
  }

  /** What is on screen is what the server has. */
  function settled() {
    if (state.value === 'saving' || state.value === 'waiting' || state.value === 'refused')
      state.value = 'saved'
    forgetDraft(id)
  }

  async function attempt(leaving: boolean) {
    const sent = document.value
    try {
      const kept = await api.put<StoredFormula>(
        `/api/formulas/${id}`,
        { revision: revision.value, document: sent },
        { leaving },
      )
      revision.value = kept.revision
      acknowledged = sent
      base = sent
      problem.value = ''
      if (document.value === sent) return settled()
      state.value = 'saving'
      remember()
      void soon()
    } catch (error) {
      failed(error)
    }
  }

  /** Sends what is on screen; while a request is under way, resolves with that one. */
  function send(leaving = false): Promise<void> {
    if (sending) return sending
    if (state.value === 'conflict') return Promise.resolve()
    if (document.value === acknowledged) return Promise.resolve(settled())
    sending = attempt(leaving).finally(() => (sending = null))
    return sending
  }

  /** Resolves when everything is acknowledged, or when that has failed. */
  async function flush(): Promise<void> {
    while (state.value === 'saving') await send()
  }

  function failed(error: unknown) {
    problem.value = sentenceOf(error)
    const status = error instanceof ApiError ? error.status : 0
    if (status === 409) clash((error as ApiError).body.theirs as StoredFormula)
    else if (status === 410) state.value = 'deleted'
    else if (status >= 400 && status < 500) state.value = 'refused'
    else {
      state.value = 'waiting'
      clearTimeout(timer)
      timer = setTimeout(() => void send(), retryAfter)
    }
  }
  function clash(other: StoredFormula) {
    theirs.value = other
    state.value = 'conflict'
    remember()
  }

  const soon = useDebounceFn(() => void send(), pace, { maxWait: 4 * pace })

  watch(document, (now) => {
    if (now === acknowledged && !sending) return settled()
    remember()
    if (state.value === 'conflict' || state.value === 'deleted') return
    state.value = state.value === 'waiting' ? 'waiting' : 'saving'
    void soon()
  })

  /** Takes what the server has as the point from which changes count. */
  function settle(formula: StoredFormula) {
    revision.value = formula.revision
    acknowledged = formula.document
    base = formula.document
    theirs.value = null
    state.value = 'saved'
    problem.value = ''
  }

  /** Goes on from a draft: its changes count from where it began. */
  function resume(draft: Pick<WindowDraft, 'revision' | 'base'>) {
    revision.value = draft.revision
    base = draft.base
  }

  /** Undoes a deletion that happened elsewhere, and goes on; what the workshop never had is made anew. */
  async function bringBack() {
    try {
      const formula = await api
        .post<StoredFormula>(`/api/formulas/${id}/restore`)
        .catch((error: unknown) => {
          if (error instanceof ApiError && error.status === 404) return null
          throw error
        })
      revision.value = formula?.revision ?? 0
      acknowledged = null
      state.value = 'saving'
      void send()
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  /** The workshop was put back to an older state: what is here and not there is not called saved any more. */
  async function lookAgain() {
    try {
      const now = await api.get<StoredFormula>(`/api/formulas/${id}`)
      if (JSON.stringify(now.document) === JSON.stringify(document.value)) return settle(now)
      // All that differs is told as this window's: the older state is where both begin.
      base = now.document
      revision.value = now.revision
      clash(now)
    } catch (error) {
      if (!(error instanceof ApiError) || error.status !== 404) return
      state.value = 'deleted'
      remember()
    }
  }

  const endEpoch = onOtherEpoch(() => void lookAgain())
  const endAnswers = answerFor(id)
  useEventListener(window, 'online', () => void send())
  useEventListener(window, 'pagehide', () => void send(true))
  onScopeDispose(() => {
    endEpoch()
    endAnswers()
    clearTimeout(timer)
    void send(true)
  })

  return { state, problem, revision, theirs, safe, settle, resume, bringBack, flush }
}
