import { roundTo } from '#core/statistics/roundTo'
import { gramsPer } from '#core/units/measures'

/* Scales that print their weight as text, by Web Serial. Needs a secure page and a browser that has it. */

/** One line of a scale's output as grams; null when it holds no weight. Units: g, kg, oz, lb; g when none is named. */
export function gramsIn(line: string): { grams: number; stable: boolean | undefined } | null {
  const match = /([+-]?)\s*(\d+(?:[.,]\d+)?)\s*(kg|g|oz|lb)?\b/i.exec(line)
  if (!match) return null
  const [, sign, figure, unit = 'g'] = match
  const per = gramsPer[unit.toLowerCase() as keyof typeof gramsPer]
  const grams = Number(figure!.replace(',', '.')) * per * (sign === '-' ? -1 : 1)
  const stable = /\b(ST|S)\b/.test(line) ? true : /\b(US|SD|D)\b/.test(line) ? false : undefined
  return { grams: roundTo(grams, 4), stable }
}

interface Port {
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
  readable: ReadableStream<Uint8Array> | null
}
interface Serial extends EventTarget {
  requestPort(): Promise<Port>
  getPorts(): Promise<Port[]>
}
const serialOf = (): Serial | null => (navigator as unknown as { serial?: Serial }).serial ?? null

type Hear = (grams: number, stable: boolean | undefined) => void

/** Reads a port until it goes or is told to end; resolves when the port is free again. */
async function read(port: Port, hear: Hear, ended: AbortSignal): Promise<void> {
  const decoder = new TextDecoder()
  let text = ''
  // A port whose line was disturbed has another reader to give; one that was pulled has none.
  while (port.readable && !ended.aborted) {
    const reader = port.readable.getReader()
    const cancel = () => void reader.cancel().catch(() => undefined)
    ended.addEventListener('abort', cancel)
    try {
      for (;;) {
        const { value, done } = await reader.read()
        if (done) break
        text += decoder.decode(value, { stream: true })
        const lines = text.split(/[\r\n]+/)
        text = (lines.pop() ?? '').slice(-200)
        for (const line of lines) {
          const weight = gramsIn(line)
          if (weight) hear(weight.grams, weight.stable)
        }
      }
    } catch {
      // the line was disturbed: once more, as long as the port is there
    } finally {
      ended.removeEventListener('abort', cancel)
      reader.releaseLock()
    }
  }
  await port.close().catch(() => undefined)
}

/** A scale on a cable that is being read. */
export interface SerialScale {
  /** Closes the port; resolves when another page may open it. */
  close(): Promise<void>
}

/**
 * Reads a scale at a serial port, and goes on with it when its cable was pulled and put back.
 * @param ask whether the maker picks a port; without, the one that was picked before is opened, or none
 * @returns null when there is none to open. Throws when none is picked or it cannot be opened
 */
export async function openSerialScale(
  hear: Hear,
  ask: boolean,
  baudRate = 9600,
): Promise<SerialScale | null> {
  const serial = serialOf()
  if (!serial) return null
  const port = ask ? await serial.requestPort() : (await serial.getPorts())[0]
  if (!port) return null
  const end = new AbortController()
  await port.open({ baudRate })
  let reading = read(port, hear, end.signal)
  const again = () => {
    void reading
      .then(() => (end.signal.aborted ? undefined : port.open({ baudRate })))
      .then(() => {
        if (!end.signal.aborted) reading = read(port, hear, end.signal)
      })
      .catch(() => undefined)
  }
  serial.addEventListener('connect', again)
  return {
    async close() {
      serial.removeEventListener('connect', again)
      end.abort()
      await reading
    },
  }
}
