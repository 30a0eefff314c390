import type { FormulaDocument } from '#contracts/formula'

/*
 * Every change of a formula is put on this device before it is sent, so that a crash of the page, the browser or the server
 * between two keystrokes loses nothing. Each window has drafts of its own: none of them ever touches another one's.
 */

/** A change that the server has not acknowledged. */
export interface Draft {
  /** The revision it was made on, and the document as it was then. */
  revision: number
  base: FormulaDocument
  document: FormulaDocument
  /** Instant of the last change. */
  at: string
}
/** A draft with the window it belongs to. */
export interface WindowDraft extends Draft {
  window: string
}

const begin = (id: string) => `mantle-draft-${id}-`
const keyOf = (id: string, window = windowId()) => `${begin(id)}${window}`
/** For windows whose browser keeps nothing: as long as the page lives. */
const inMemory = new Map<string, Draft>()

/** Keeps a draft of this window. False when this browser keeps nothing, so that a reload would lose it. */
export function rememberDraft(id: string, draft: Draft): boolean {
  inMemory.set(id, draft)
  return keepHere(keyOf(id), draft)
}

export function forgetDraft(id: string, window?: string): void {
  if (!window) inMemory.delete(id)
  forgetHere(keyOf(id, window))
}

/** Every draft of a formula that lies on this device, the newest first; what is no draft is left alone. */
export async function draftsOf(id: string): Promise<WindowDraft[]> {
  const own = inMemory.get(id)
  const keys = keysHere(begin(id))
  // Mostly there are none, and the schema is a tenth of what the first page would load.
  if (!own && !keys.length) return []
  const { formulaSchema } = await import('#contracts/formula')
  const kept = keys.flatMap((key) => {
    const draft = keptHere(key, (value): Draft | null => {
      const { revision, base, document, at } = value as Partial<Draft>
      const [was, is] = [formulaSchema.safeParse(base), formulaSchema.safeParse(document)]
      return is.success && was.success && Number.isInteger(revision)
        ? { revision: revision!, base: was.data, document: is.data, at: String(at) }
        : null
    })
    return draft ? [{ ...draft, window: key.slice(begin(id).length) }] : []
  })
  if (own && !kept.some(({ window }) => window === windowId()))
    kept.push({ ...own, window: windowId() })
  return kept.sort((a, b) => b.at.localeCompare(a.at))
}

const channelName = 'mantle-windows'
/** ms that other windows have to say that they are there. */
const answerWithin = 250

type Word = { asks: string } | { formula: string; window: string }
const channel = () => ('BroadcastChannel' in window ? new BroadcastChannel(channelName) : null)

/** Answers, while a formula is open here, when another window asks who has it open. Gives what ends it. */
export function answerFor(id: string): () => void {
  const line = channel()
  if (line)
    line.onmessage = ({ data }: MessageEvent<Word>) => {
      if ('asks' in data && data.asks === id)
        line.postMessage({ formula: id, window: windowId() } satisfies Word)
    }
  return () => line?.close()
}

/** Windows of this browser that have a formula open, this one included. */
export function windowsWith(id: string): Promise<Set<string>> {
  const there = new Set([windowId()])
  const line = channel()
  if (!line) return Promise.resolve(there)
  line.onmessage = ({ data }: MessageEvent<Word>) => {
    if ('formula' in data && data.formula === id) there.add(data.window)
  }
  line.postMessage({ asks: id } satisfies Word)
  return new Promise((done) =>
    setTimeout(() => {
      line.close()
      done(there)
    }, answerWithin),
  )
}

/** The draft that this window goes on from: its own, or the newest that a window left which is no longer there. */
export async function draftToTakeUp(id: string): Promise<WindowDraft | null> {
  const all = await draftsOf(id)
  const own = all.find(({ window }) => window === windowId())
  if (own) return own
  if (!all.length) return null
  const there = await windowsWith(id)
  const left = all.find(({ window }) => !there.has(window))
  if (!left) return null
  const { window, ...draft } = left
  rememberDraft(id, draft)
  forgetDraft(id, window)
  return { ...draft, window: windowId() }
}
