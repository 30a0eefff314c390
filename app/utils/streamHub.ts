import type { StreamMessage } from '#contracts/stream'

/** What a window wants to hear. */
export interface Wants {
  /** Runs by their id, with the number of the last event that is known. */
  runs: Record<string, number>
  /** Trial days likewise. */
  trials: Record<string, number>
  /** Sets of stand-ins, or * for every device that posts. */
  readings: string[]
  room: boolean
  facts: boolean
}
export const nothing: Wants = {
  runs: {},
  trials: {},
  readings: [],
  room: false,
  facts: false,
}

/** What the hub tells its windows: messages, and whether the line stands. */
export type HubWord = { message: StreamMessage } | { open: boolean }

/** ms that windows have to say what they want before the line is opened for all of it. */
const gather = 40
/** ms between tries when the server refuses the line. */
const retryAfter = 3000
/** ms after which a window that says nothing is taken for gone: browsers slow the timers of hidden ones to a minute. */
const patience = 200_000

/** Of several, the number from which all of them miss nothing. */
function earliest(all: Record<string, number>[]): Record<string, number> {
  const from: Record<string, number> = {}
  for (const one of all)
    for (const [id, after] of Object.entries(one)) from[id] = Math.min(after, from[id] ?? Infinity)
  return from
}

/** Everything that is wanted by somebody. */
export function together(all: Wants[]): Wants {
  return {
    runs: earliest(all.map(({ runs }) => runs)),
    trials: earliest(all.map(({ trials }) => trials)),
    readings: [...new Set(all.flatMap(({ readings }) => readings))],
    room: all.some(({ room }) => room),
    facts: all.some(({ facts }) => facts),
  }
}

export function addressOf({ runs, trials, readings, room, facts }: Wants): string {
  const query = new URLSearchParams()
  for (const [id, after] of Object.entries(runs)) query.append('run', `${id}@${after}`)
  for (const [id, after] of Object.entries(trials)) query.append('trial', `${id}@${after}`)
  for (const of of readings) query.append('readings', of)
  if (room) query.append('room', '1')
  if (facts) query.append('facts', '1')
  return `/api/stream?${query}`
}

const isNothing = (wants: Wants) => addressOf(wants) === addressOf(nothing)

const fromTheFirst = (known: Record<string, number>) =>
  Object.fromEntries(Object.keys(known).map((id) => [id, 0]))

/** Whether a window wants to hear a message. */
export function wanted(wants: Wants, message: StreamMessage): boolean {
  switch (message.topic) {
    case 'epoch':
      return true
    case 'run':
      return message.run in wants.runs
    case 'trial':
      return message.trial in wants.trials
    case 'reading':
      return wants.readings.some((of) => of === '*' || message.data.device.startsWith(of))
    case 'room':
      return wants.room
    case 'facts':
      return wants.facts
  }
}

/**
 * One line to the server for all windows of a browser: browsers hold six connections to a server, and a bench in each of seven
 * windows would starve the last.
 */
export class StreamHub {
  private readonly windows = new Map<
    string,
    { wants: Wants; tell: (word: HubWord) => void; heard: number }
  >()
  private source: EventSource | null = null
  private address = ''
  private isOpen = false
  private timer: ReturnType<typeof setTimeout> | undefined

  /** A window says what it wants from now on; nothing when it goes. */
  wants(id: string, wants: Wants, tell: (word: HubWord) => void): void {
    if (isNothing(wants)) this.windows.delete(id)
    else this.windows.set(id, { wants, tell, heard: Date.now() })
    // Who comes to a line that stands need not wait to hear so.
    if (this.isOpen) tell({ open: true })
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.connect(), gather)
  }

  /** A window is still there. */
  alive(id: string): void {
    const one = this.windows.get(id)
    if (one) one.heard = Date.now()
    for (const [other, { heard }] of this.windows)
      if (Date.now() - heard > patience) this.windows.delete(other)
  }

  /** What a window knows of a run or a trial by now, so that a new line does not tell it all again. */
  private note(message: StreamMessage): void {
    if (message.topic !== 'run' && message.topic !== 'trial') return
    const last = message.data.at(-1)?.seq ?? 0
    for (const { wants } of this.windows.values()) {
      const [known, id] =
        message.topic === 'run' ? [wants.runs, message.run] : [wants.trials, message.trial]
      if (id in known) known[id] = Math.max(known[id]!, last)
    }
  }

  private tellAll(word: HubWord): void {
    for (const { tell } of this.windows.values()) tell(word)
  }

  private connect(): void {
    const all = together([...this.windows.values()].map(({ wants }) => wants))
    if (isNothing(all)) {
      this.source?.close()
      this.source = null
      this.address = ''
      this.isOpen = false
      return
    }
    // How far they are known does not need another line.
    const kind = addressOf({
      ...all,
      runs: fromTheFirst(all.runs),
      trials: fromTheFirst(all.trials),
    })
    if (this.source && this.address === kind && this.source.readyState !== EventSource.CLOSED)
      return
    this.address = kind
    const before = this.source
    const source = new EventSource(addressOf(all))
    this.source = source
    source.onopen = () => {
      before?.close()
      this.isOpen = true
      this.tellAll({ open: true })
    }
    source.onmessage = (event) => {
      if (source !== this.source) return
      const message = JSON.parse(String(event.data)) as StreamMessage
      this.note(message)
      for (const { wants, tell } of this.windows.values())
        if (wanted(wants, message)) tell({ message })
    }
    source.onerror = () => {
      before?.close()
      if (source !== this.source) return
      this.isOpen = false
      this.tellAll({ open: false })
      if (source.readyState !== EventSource.CLOSED) return
      clearTimeout(this.timer)
      this.timer = setTimeout(() => this.connect(), retryAfter)
    }
  }
}
