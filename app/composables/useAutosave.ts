import type { FormulaDocument } from '#contracts/formula'
import type { StoredFormula } from '#contracts/workshop'
import { useDebounceFn, useEventListener } from '@vueuse/core'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'refused' | 'conflict' | 'deleted'

/** ms of quiet before a save (four times that at most), and between tries when the server does not answer. */
const pace = 250
const retryAfter = 3000

/**
 * Keeps a document on the server by itself: at most one request at a time, always the newest document, tried again
 * until it is acknowledged. Until then it lies in this device's outbox.
 */
export function useAutosave(id: string, document: Readonly<Ref<FormulaDocument>>) {
  const state = ref<SaveState>('saved')
  const problem = ref('')
  const revision = ref(0)
  const theirs = shallowRef<StoredFormula | null>(null)
  let sending: Promise<void> | null = null
  let acknowledged: FormulaDocument | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What is on screen is what the server has. */
  function settled() {
    if (state.value === 'saving' || state.value === 'waiting') state.value = 'saved'
    forgetPending(id)
  }

  async function attempt() {
    const sent = document.value
    try {
      const kept = await api.put<StoredFormula>(`/api/formulas/${id}`, {
        revision: revision.value,
        document: sent,
      })
      revision.value = kept.revision
      acknowledged = sent
      problem.value = ''
      if (document.value === sent) return settled()
      state.value = 'saving'
      rememberPending(id, { revision: revision.value, document: document.value })
      void soon()
    } catch (error) {
      failed(error)
    }
  }

  /** Sends what is on screen; while a request is under way, resolves with that one. */
  function send(): Promise<void> {
    if (sending) return sending
    if (state.value === 'conflict') return Promise.resolve()
    if (document.value === acknowledged) return Promise.resolve(settled())
    sending = attempt().finally(() => (sending = null))
    return sending
  }

  /** Resolves when everything is acknowledged, or when that has failed. */
  async function flush(): Promise<void> {
    while (state.value === 'saving') await send()
  }

  function failed(error: unknown) {
    problem.value = sentenceOf(error)
    const status = error instanceof ApiError ? error.status : 0
    if (status === 409) {
      theirs.value = (error as ApiError).body.theirs as StoredFormula
      state.value = 'conflict'
    } else if (status === 410) state.value = 'deleted'
    else if (status >= 400 && status < 500) state.value = 'refused'
    else {
      state.value = 'waiting'
      clearTimeout(timer)
      timer = setTimeout(() => void send(), retryAfter)
    }
  }

  const soon = useDebounceFn(() => void send(), pace, { maxWait: 4 * pace })

  watch(document, (now) => {
    if (now === acknowledged && !sending) return settled()
    rememberPending(id, { revision: revision.value, document: now })
    if (state.value === 'conflict' || state.value === 'deleted') return
    state.value = state.value === 'waiting' ? 'waiting' : 'saving'
    void soon()
  })

  /** Takes what the server has as the point from which changes count. */
  function settle(formula: StoredFormula) {
    revision.value = formula.revision
    acknowledged = formula.document
    theirs.value = null
    state.value = 'saved'
    problem.value = ''
  }

  /** Goes on from their revision with this screen's document: what is on screen wins. */
  function keepMine() {
    if (theirs.value) revision.value = theirs.value.revision
    theirs.value = null
    acknowledged = null
    state.value = 'saving'
    void send()
  }

  /** Undoes a deletion that happened elsewhere, and goes on. */
  async function bringBack() {
    try {
      const formula = await api.post<StoredFormula>(`/api/formulas/${id}/restore`)
      revision.value = formula.revision
      acknowledged = null
      state.value = 'saving'
      void send()
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  useEventListener(window, 'online', () => void send())
  useEventListener(window, 'pagehide', () => void send())
  onScopeDispose(() => {
    clearTimeout(timer)
    void send()
  })

  return { state, problem, revision, theirs, settle, keepMine, bringBack, flush }
}
