import type { LabelProgress, NewLabelOrder } from '#contracts/label'

/** Makes labels into a PDF: asked about first where something does not fit, with progress, and stopped when somebody says so. */
export function useLabelPrint() {
  const busy = ref(false)
  const done = ref(0)
  const of = ref(0)
  const problem = ref('')
  /** What is to be seen before it is printed; none while nothing is asked. */
  const asks = ref<string[]>([])
  let stop: AbortController | undefined

  async function print(order: NewLabelOrder, name: string): Promise<boolean> {
    busy.value = true
    problem.value = ''
    asks.value = []
    done.value = 0
    of.value = order.count
    stop = new AbortController()
    try {
      const response = await fetch('/api/labels/pdf', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(order),
        signal: stop.signal,
      })
      if (!response.ok || !response.body) {
        const answer = (await response.json().catch(() => ({}))) as {
          asks?: string[]
          errors?: { says: string }[]
        }
        asks.value = answer.asks ?? []
        if (!answer.asks) problem.value = answer.errors?.[0]?.says ?? 'The PDF could not be made.'
        return false
      }
      const pdf = await read(response.body)
      if (!pdf) throw new Error('no file came')
      const bytes = Uint8Array.from(atob(pdf), (letter) => letter.charCodeAt(0))
      downloadFile(name, new Blob([bytes], { type: 'application/pdf' }))
      return true
    } catch (error) {
      if ((error as Error).name !== 'AbortError')
        problem.value = 'The PDF did not come whole. Is Mantle still running? Try again.'
      return false
    } finally {
      busy.value = false
    }
  }
  /** Line by line: how far it is, the file last. */
  async function read(body: ReadableStream<Uint8Array>): Promise<string | null> {
    const reader = body.getReader()
    const decoder = new TextDecoder()
    let rest = ''
    let pdf: string | null = null
    for (;;) {
      const { value, done: ended } = await reader.read()
      if (ended) return pdf
      const lines = (rest + decoder.decode(value, { stream: true })).split('\n')
      rest = lines.pop()!
      for (const line of lines) {
        const told = JSON.parse(line) as LabelProgress
        if ('pdf' in told) pdf = told.pdf
        else {
          done.value = told.done
          of.value = told.of
        }
      }
    }
  }
  const cancel = () => stop?.abort()
  onScopeDispose(cancel)
  return { busy, done, of, problem, asks, print, cancel }
}
