import { afterEach, expect, it, vi } from 'vitest'
import { takeTyped, typeAhead } from './typedAhead'

const press = (...keys: string[]) =>
  keys.map((key) => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
    document.body.dispatchEvent(event)
    return event.defaultPrevented
  })

function field() {
  const input = document.createElement('input')
  const heard: string[] = []
  input.addEventListener('input', () => heard.push(input.value))
  input.addEventListener('keydown', ({ key }) => heard.push(key))
  document.body.append(input)
  return { input, heard }
}

afterEach(() => vi.useRealTimers())

it('gives a field what was typed before it was there, and Enter after it', async () => {
  typeAhead()
  expect(press('n', 'w', 'Backspace', 'e', 'w', 'Enter')).toEqual(Array(6).fill(true))
  const { input, heard } = field()
  await takeTyped(input)
  expect(heard).toEqual(['new', 'Enter'])
  // From then on keys go where they always go.
  expect(press('x')).toEqual([false])
  await takeTyped(input)
  expect(heard).toEqual(['new', 'Enter'])
})

it('takes nothing after Escape, after a while, and leaves keys with Ctrl alone', async () => {
  vi.useFakeTimers()
  typeAhead(1000)
  const held = new KeyboardEvent('keydown', { key: 'r', ctrlKey: true, cancelable: true })
  document.body.dispatchEvent(held)
  expect(held.defaultPrevented).toBe(false)
  expect(press('a', 'Tab', 'Escape', 'b')).toEqual([true, false, false, false])
  const { input, heard } = field()
  await takeTyped(input)
  expect(heard).toEqual([])
  typeAhead(1000)
  vi.advanceTimersByTime(1001)
  expect(press('c')).toEqual([false])
})
