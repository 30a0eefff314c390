import { describe, expect, it } from 'vitest'
import { newCode, spendCode } from './pairing'

const wrongFor = (code: string) => (code === '111111' ? '222222' : '111111')

describe('guessing the code', () => {
  it('slows down the guesser and nobody else', () => {
    const { code } = newCode(0)
    expect(spendCode(wrongFor(code), '10.0.0.66', 0)).toBe('wrong')
    expect(spendCode(code, '10.0.0.66', 500)).toEqual({ waitSeconds: 1 })
    expect(spendCode(wrongFor(code), '10.0.0.66', 1000)).toBe('wrong')
    expect(spendCode(code, '10.0.0.66', 2999)).toEqual({ waitSeconds: 1 })
    expect(spendCode(code, '10.0.0.7', 2999)).toBe('paired')
  })

  it('waits twice as long after each wrong guess, five minutes at most', () => {
    const { code } = newCode(0)
    let now = 10_000
    let tries = 0
    while (now < 610_000) {
      const spent = spendCode(wrongFor(code), '10.0.0.99', now)
      if (spent === 'wrong') tries++
      else if (typeof spent === 'object') now += spent.waitSeconds * 1000
    }
    expect(tries).toBeLessThanOrEqual(11)
  })

  it('counts once, for ten minutes', () => {
    const { code } = newCode(0)
    expect(spendCode(code, '10.0.0.1', 600_001)).toBe('wrong')
    const again = newCode(700_000).code
    expect(spendCode(again.replace(/(...)/, '$1 '), '10.0.0.2', 700_001)).toBe('paired')
    expect(spendCode(again, '10.0.0.3', 700_002)).toBe('wrong')
  })

  it('ends the code after a hundred wrong guesses from anywhere', () => {
    const { code } = newCode(0)
    for (let n = 0; n < 100; n++) spendCode(wrongFor(code), `10.1.0.${n}`, 1)
    expect(spendCode(code, '10.2.0.1', 2)).toBe('wrong')
  })
})
