import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cleaned, cleanedText, deeperThan } from './text'

describe('texts as they come in', () => {
  it.each([
    ['a bell and a null', 'fir\u0007 & \u0000smoke', 'fir & smoke'],
    ['lines and tabs', 'one\n\ttwo\r\n', 'one\n\ttwo\r\n'],
    ['a name turned round', 'lye \u202egnihton\u202c', 'lye gnihton'],
    ['isolates', '\u2066x\u2069', 'x'],
    ['half a pair', 'x\ud800y', 'x\ufffdy'],
    ['C1 controls', 'a\u0085b', 'ab'],
    ['letters and marks apart', 'cafe\u0301', 'caf\u00e9'],
    ['joiners of words that need them', 'ن\u200cم', 'ن\u200cم'],
    ['smileys', '🧼🏽', '🧼🏽'],
  ])('%s', (_, typed, kept) => {
    expect(cleanedText(typed)).toBe(kept)
  })

  it('are the same when cleaned twice, and keys too', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const once = cleaned(value)
        expect(cleaned(once)).toEqual(once)
      }),
    )
    expect(cleaned({ 'a\u202e': ['x\u0000'] })).toEqual({ a: ['x'] })
  })
})

describe('how deep JSON is nested', () => {
  it('is found without parsing, brackets in texts not counted', () => {
    const deep = (levels: number) => Buffer.from('['.repeat(levels) + ']'.repeat(levels))
    expect(deeperThan(deep(64), 64)).toBe(false)
    expect(deeperThan(deep(65), 64)).toBe(true)
    expect(deeperThan(Buffer.from(JSON.stringify({ a: '[{'.repeat(99), b: '\\"[' })), 1)).toBe(
      false,
    )
    expect(deeperThan(Buffer.from('[[],[],[]]'), 2)).toBe(false)
  })
})
