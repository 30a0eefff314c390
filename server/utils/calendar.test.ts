import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foldedLines } from './calendar'

describe('lines of a calendar', () => {
  it('have 75 octets at most, and say the same', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc
            .string({ unit: 'grapheme', maxLength: 200 })
            .map((text) => text.replace(/[\r\n]/g, '')),
        ),
        (lines) => {
          const folded = foldedLines(lines.join('\r\n'))
          for (const line of folded.split('\r\n'))
            expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
          expect(folded.replace(/\r\n /g, '')).toBe(lines.join('\r\n').replace(/\r\n[ \t]/g, ''))
        },
      ),
    )
  })
  it('are counted in octets, not in letters', () => {
    const [first, second] = foldedLines(`SUMMARY:${'🧼'.repeat(30)}`).split('\r\n')
    expect(Buffer.byteLength(first!)).toBe(72)
    expect(second!.startsWith(' 🧼')).toBe(true)
  })
})
