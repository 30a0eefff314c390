/* Scales that print their weight as text, by Web Serial. Needs a secure page and a browser that has it. */

/** One line of a scale's output as grams; null when it holds no weight. Units: g, kg, oz, lb; g when none is named. */
export function gramsIn(line: string): { grams: number; stable: boolean | undefined } | null {
  const match = /([+-]?)\s*(\d+(?:[.,]\d+)?)\s*(kg|g|oz|lb)?\b/i.exec(line)
  if (!match) return null
  const [, sign, figure, unit = 'g'] = match
  const per = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }[unit.toLowerCase() as 'g']
  const grams = Number(figure!.replace(',', '.')) * per * (sign === '-' ? -1 : 1)
  const stable = /\b(ST|S)\b/.test(line) ? true : /\b(US|SD|D)\b/.test(line) ? false : undefined
  return { grams: Number(grams.toFixed(4)), stable }
}

interface Port {
  open(options: { baudRate: number }): Promise<void>
  readable: ReadableStream<Uint8Array> | null
}

/** Lets the maker pick a port and reads it until it goes. Throws when none is picked or it cannot be opened. */
export async function openSerialScale(
  hear: (grams: number, stable: boolean | undefined) => void,
  baudRate = 9600,
): Promise<void> {
  const { serial } = navigator as unknown as { serial: { requestPort(): Promise<Port> } }
  const port = await serial.requestPort()
  await port.open({ baudRate })
  void (async () => {
    const reader = port.readable!.getReader()
    const decoder = new TextDecoder()
    let text = ''
    for (;;) {
      const { value, done } = await reader.read().catch(() => ({ value: undefined, done: true }))
      if (done || !value) return
      text += decoder.decode(value, { stream: true })
      const lines = text.split(/[\r\n]+/)
      text = lines.pop() ?? ''
      for (const line of lines) {
        const weight = gramsIn(line)
        if (weight) hear(weight.grams, weight.stable)
      }
    }
  })()
}
