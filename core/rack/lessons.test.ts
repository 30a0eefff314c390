import { describe, expect, it } from 'vitest'
import { told } from '../../tests/support/batchOf'
import { lessonAt } from '../bench/plan/lessonAt'
import { lessonsOf } from './lessons'

const note = (says: string, lesson = true) =>
  told({ kind: 'noted', day: '2026-03-02', note: says, lesson, about: 'pour' })

describe('what a batch taught', () => {
  it('is a note that is a lesson, and what was said at the cut and in use', () => {
    const cut = told({ kind: 'cut', day: '2026-03-02', bars: 12, differently: 'Cut a day later' })
    const felt = told({
      kind: 'felt',
      day: '2026-04-20',
      scores: { quickFoam: 2 },
      differently: 'More coconut',
      about: 'weighing',
    })
    const silent = told({ kind: 'cut', day: '2026-03-02', bars: 12 })
    expect(lessonsOf([note('Pour lower'), note('Rain all day', false), cut, felt, silent])).toEqual(
      [
        { id: expect.any(String), day: '2026-03-02', says: 'Pour lower', about: 'pour' },
        { id: cut.id, day: '2026-03-02', says: 'Cut a day later', about: null },
        { id: felt.id, day: '2026-04-20', says: 'More coconut', about: 'weighing' },
      ],
    )
  })

  it('stands until it is dropped, and again when the dropping is taken back', () => {
    const lesson = note('Pour lower')
    const dropped = told({ kind: 'dropped', day: '2026-05-01', lesson: lesson.id })
    const back = told({ kind: 'undone', event: dropped.id })
    expect(lessonsOf([lesson, dropped])).toEqual([])
    expect(lessonsOf([lesson, dropped, back])).toHaveLength(1)
    expect(lessonsOf([lesson, told({ kind: 'undone', event: lesson.id })])).toEqual([])
  })

  it('stands at the step that it is about, else at the beginning', () => {
    expect(lessonAt('pour', { kind: 'pour' })).toBe(true)
    expect(lessonAt('pour', { kind: 'batter' })).toBe(false)
    expect(lessonAt('temperatures', { kind: 'meet' })).toBe(true)
    expect(lessonAt(null, { kind: 'safety-check' })).toBe(true)
    expect(lessonAt(null, { kind: 'pour' })).toBe(false)
    expect(lessonAt('cut', { kind: 'safety-check' })).toBe(false)
  })
})
