import { describe, expect, it } from 'vitest'
import { findIn, type Thing, type Verb } from './finding'

const verb = (word: string, more: Partial<Verb> = {}): Verb => ({ word, act: () => word, ...more })
const thing = (name: string, also: string, ...verbs: Verb[]): Thing => ({
  id: name,
  name,
  also,
  verbs: [verb('open'), ...verbs],
})
const things = [
  thing('Hostel Bar 36', 'batch, planned', verb('weigh', { whyNot: 'It is not poured yet.' })),
  thing('Hostel Bar 30', 'batch, drying', verb('weigh'), verb('test', { also: ['strip'] })),
  thing('Quiet Olive 28', 'batch, drying', verb('weigh'), verb('test', { also: ['strip'] })),
  thing('Hostel Bar', 'formula', verb('make'), verb('print')),
  thing('Weighing scale', 'page'),
  thing('Honey', 'material, extra'),
  thing('Crème fraîche', 'material, liquid'),
]
const names = (list: { thing: Thing }[]) => list.map(({ thing: { name } }) => name)

describe('a line in the box that finds and does', () => {
  it('finds by names, what begins so first, accents or not, words in any order', () => {
    expect(names(findIn(things, 'ho').called)).toEqual([
      'Hostel Bar 36',
      'Hostel Bar 30',
      'Hostel Bar',
      'Honey',
    ])
    expect(names(findIn(things, 'olive drying').called)).toEqual(['Quiet Olive 28'])
    expect(names(findIn(things, 'creme').called)).toEqual(['Crème fraîche'])
    expect(names(findIn(things, 'gravel').called)).toEqual([])
    expect(findIn(things, '').called).toHaveLength(things.length)
  })

  it('reads a verb anywhere: what can be done first, then why another cannot', () => {
    for (const line of ['weigh ho', 'ho weigh', 'WEIGH ho', 'wei ho']) {
      const { verb: read, names: typed, doIt, called } = findIn(things, line)
      expect(names(doIt), line).toEqual(['Hostel Bar 30', 'Hostel Bar 36'])
      expect(doIt.map(({ thing: { verbs }, verb: at }) => verbs[at]!.word)).toEqual([
        'weigh',
        'weigh',
      ])
      expect(doIt[1]!.thing.verbs[doIt[1]!.verb]!.whyNot).toBe('It is not poured yet.')
      expect([read.toLowerCase(), typed]).toEqual([
        line
          .split(' ')
          .find((one) => one !== 'ho')!
          .toLowerCase(),
        ['ho'],
      ])
      // Not to weigh, but called so.
      expect(names(called)).toEqual(['Hostel Bar', 'Honey'])
    }
  })

  it('what is called just so comes before what begins so', () => {
    expect(names(findIn(things, 'hostel bar').called)).toEqual([
      'Hostel Bar',
      'Hostel Bar 36',
      'Hostel Bar 30',
    ])
  })

  it('knows other words for the same, and a number for a batch', () => {
    const { doIt } = findIn(things, 'strip 30')
    expect(names(doIt)).toEqual(['Hostel Bar 30'])
    expect(doIt[0]!.thing.verbs[doIt[0]!.verb]!.word).toBe('test')
  })

  it('a verb alone lists what can be done, never what cannot; a name that begins so stays found', () => {
    const { doIt, called } = findIn(things, 'weigh')
    expect(names(doIt)).toEqual(['Hostel Bar 30', 'Quiet Olive 28'])
    expect(names(called)).toEqual(['Weighing scale'])
  })

  it('the beginning of a verb that is part of a name is that name', () => {
    const bars = things.map((one) => ({ ...one, verbs: [...one.verbs, verb('bars out')] }))
    expect(findIn(bars, 'hostel bar 30')).toMatchObject({ verb: '', doIt: [] })
    expect(names(findIn(bars, 'hostel bar 30').called)).toEqual(['Hostel Bar 30'])
  })

  it('two letters are no verb, and a verb that nothing so called has is a word', () => {
    expect(findIn(things, 'we').verb).toBe('')
    expect(names(findIn(things, 'we').called)).toEqual(['Weighing scale'])
    expect(findIn(things, 'make olive')).toMatchObject({ verb: '', doIt: [], called: [] })
  })

  it('shows no more than asked for', () => {
    expect(findIn(things, 'weigh', 1).doIt).toHaveLength(1)
    expect(findIn(things, '', 2).called).toHaveLength(2)
  })
})
