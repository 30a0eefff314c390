import { expect, it } from 'vitest'
import { clickHertz, weighingSound } from './benchSound'

const at = (grams: number, standing: string) => ({ grams, standing })

it('clicks rise towards the target, an octave and a half in all', () => {
  expect(clickHertz(0)).toBe(220)
  expect(clickHertz(2 / 3)).toBeCloseTo(440, 6)
  expect(clickHertz(1)).toBeCloseTo(220 * 2 ** 1.5, 6)
  expect(clickHertz(1.4)).toBe(clickHertz(1))
})

it('a weighing clicks at every tenth, sings once inside the band and growls once above it', () => {
  expect(weighingSound(at(0, 'empty'), at(9, 'short'), 100)).toBeNull()
  expect(weighingSound(at(9, 'short'), at(11, 'short'), 100)).toEqual({ click: 0.11 })
  expect(weighingSound(at(11, 'short'), at(19.9, 'short'), 100)).toBeNull()
  expect(weighingSound(at(30, 'short'), at(25, 'short'), 100)).toBeNull()
  expect(weighingSound(at(98, 'short'), at(99.8, 'in'), 100)).toBe('in')
  expect(weighingSound(at(99.8, 'in'), at(100, 'in'), 100)).toBeNull()
  expect(weighingSound(at(100, 'in'), at(102, 'over'), 100)).toBe('over')
  expect(weighingSound(at(102, 'over'), at(103, 'over'), 100)).toBeNull()
  expect(weighingSound(at(0, 'empty'), at(1, 'short'), 0)).toBeNull()
})
