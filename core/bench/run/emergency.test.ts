import { describe, expect, it } from 'vitest'
import { emergencies } from './emergency'

const of = (id: (typeof emergencies)[number]['id']) => emergencies.find((one) => one.id === id)!

describe('what to do when something happens', () => {
  it('six things, each in three lines and one never, in the order in which they are looked for', () => {
    expect(emergencies.map(({ id, calls, now }) => [id, calls, now.length])).toEqual([
      ['eye', 'ambulance', 3],
      ['skin', null, 3],
      ['swallowed', 'poison', 3],
      ['fumes', null, 3],
      ['boiling', null, 3],
      ['spill', null, 3],
    ])
    for (const { says, never, now } of emergencies)
      for (const line of [says, never, ...now]) expect(line).toMatch(/^[A-Z].{5,}/)
  })

  it('water first on eye and skin, for twenty minutes; nothing is neutralised on a person', () => {
    expect(of('eye').now[0]).toMatch(/^Rinse now/)
    for (const id of ['eye', 'skin'] as const) {
      expect(of(id).now.join(' ')).toContain('20 minutes')
      expect(of(id).never).toContain('vinegar')
    }
    expect(of('swallowed').never).toContain('Never make anybody vomit')
    expect(of('boiling').never).toContain('No water onto lye')
    expect(of('spill').never).toContain('No acid')
  })
})
