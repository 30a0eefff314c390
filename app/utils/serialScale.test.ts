import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { gramsIn, openSerialScale } from './serialScale'

/** A port that remembers whether it is open, and whose line can say things, be disturbed and be pulled. */
class Port {
  isOpen = false
  opened = 0
  readable: ReadableStream<Uint8Array> | null = null
  private out: ReadableStreamDefaultController<Uint8Array> | null = null
  private line() {
    this.readable = new ReadableStream({ start: (out) => void (this.out = out) })
  }
  open() {
    if (this.isOpen) return Promise.reject(new Error('already open'))
    this.isOpen = true
    this.opened++
    this.line()
    return Promise.resolve()
  }
  close() {
    if (this.readable?.locked) return Promise.reject(new Error('a reader holds it'))
    this.isOpen = false
    this.readable = null
    return Promise.resolve()
  }
  say(text: string) {
    this.out!.enqueue(new TextEncoder().encode(text))
  }
  disturb() {
    const broken = this.out!
    this.line()
    broken.error(new Error('framing'))
  }
  pull() {
    this.readable = null
    this.out!.error(new Error('gone'))
  }
}
class Serial extends EventTarget {
  constructor(readonly port: Port) {
    super()
  }
  requestPort = () => Promise.resolve(this.port)
  getPorts = () => Promise.resolve([this.port])
}

const settled = () => new Promise((done) => setTimeout(done, 5))
let port: Port
let serial: Serial
const heard: number[] = []
const hear = (grams: number) => void heard.push(grams)
beforeEach(() => {
  port = new Port()
  serial = new Serial(port)
  heard.length = 0
  vi.stubGlobal('navigator', { serial })
})
afterEach(() => vi.unstubAllGlobals())

describe('a scale on a cable', () => {
  it('is read line by line, whatever pieces they come in', async () => {
    await openSerialScale(hear, true)
    port.say('ST,GS,+  15')
    port.say('1.2g\r\nUS,GS,+ 151')
    await settled()
    expect(heard).toEqual([151.2])
  })

  it('is closed when it is left, so that it can be opened again', async () => {
    const first = await openSerialScale(hear, true)
    await expect(openSerialScale(hear, false)).rejects.toThrow('already open')
    await first!.close()
    expect(port.isOpen).toBe(false)
    await openSerialScale(hear, false)
    port.say('12 g\n')
    await settled()
    expect(heard).toEqual([12])
  })

  it('is read on after a disturbance, and after its cable was pulled and put back', async () => {
    const scale = await openSerialScale(hear, true)
    port.disturb()
    await settled()
    port.say('1 g\n')
    await settled()
    port.pull()
    await settled()
    expect(port.isOpen).toBe(false)
    serial.dispatchEvent(new Event('connect'))
    await settled()
    port.say('2 g\n')
    await settled()
    expect(heard).toEqual([1, 2])
    await scale!.close()
    serial.dispatchEvent(new Event('connect'))
    await settled()
    expect([port.isOpen, port.opened]).toEqual([false, 2])
  })
})

it.each([
  ['ST,GS,+  151.2g', { grams: 151.2, stable: true }],
  ['US,GS,-  3,5 g', { grams: -3.5, stable: false }],
  ['1.002 kg', { grams: 1002, stable: undefined }],
  ['hello', null],
])('%s', (line, weight) => {
  expect(gramsIn(line)).toEqual(weight)
})
