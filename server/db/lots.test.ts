import Database from 'better-sqlite3'
import fc from 'fast-check'
import { v7 } from 'uuid'
import { expect, it } from 'vitest'
import { lotSchema, moveSchema } from '#contracts/store'
import { openDatabase } from './connection'
import { addMove, getLot, pricesNow, lotStore, wholeLot } from './lots'
import { migrate } from './migrate'
import { migrationFiles } from './migrationFiles'
import { getWorkshop } from './workshop'

const now = '2026-03-10T09:00:00.000Z'
const day = '2026-03-10'

it('prices leave the settings of the workshop for a table of their own', () => {
  const old = new Database(':memory:')
  migrate(
    old,
    migrationFiles().filter(({ version }) => version < 12),
  )
  const settings = {
    name: 'Shed',
    timeZone: 'UTC',
    units: 'metric',
    scale: 0.1,
    prices: { olive: 940, castor: 890 },
  }
  old.prepare('INSERT INTO workshop (id, settings) VALUES (1, ?)').run(JSON.stringify(settings))
  migrate(old, migrationFiles())
  expect(pricesNow(old)).toEqual({
    olive: { price: 940, from: 'typed', lotId: null },
    castor: { price: 890, from: 'typed', lotId: null },
  })
  expect(getWorkshop(old)).toMatchObject({ name: 'Shed', scale: 0.1 })
  expect('prices' in getWorkshop(old)).toBe(false)
})

it('a stock never differs from the sum of its moves, whatever is told in whatever order', () => {
  const db = openDatabase(':memory:', migrationFiles())
  const grams = fc.integer({ min: 1, max: 500_000 }).map((milligrams) => milligrams / 1000)
  const act = fc.oneof(
    fc.record({ kind: fc.constantFrom('drawn', 'spilled', 'thrown', 'back'), grams }),
    fc.record({ kind: fc.constant('counted'), grams }),
    fc.record({ kind: fc.constant('undone'), nth: fc.nat(20) }),
    fc.record({ kind: fc.constant('came'), grams }),
  )
  fc.assert(
    fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
      const id = v7()
      const document = lotSchema.parse({ thing: 'olive', code: 'K1', cameOn: day, amount: 1000 })
      lotStore.save(db, id, 0, document, now)
      for (const one of acts) {
        const { revision, document: then } = getLot(db, id)!
        if (one.kind === 'came') {
          const { grams: amount } = one as { grams: number }
          lotStore.save(db, id, revision, { ...then, amount }, now)
          continue
        }
        const told = wholeLot(db, id)!.moves
        const move =
          'nth' in one
            ? { kind: 'undone', move: told[one.nth % told.length]!.id }
            : { ...one, ...(one.kind === 'drawn' ? { sure: true } : {}) }
        const event = moveSchema.parse({ id: v7(), lotId: id, day, ...move })
        try {
          addMove(db, event, now)
          addMove(db, event, now)
        } catch {
          // What cannot be taken back changes nothing.
        }
      }
      const { stock, moves } = wholeLot(db, id)!
      const sum = moves.reduce((all, one) => all + Math.round(one.grams * 1000), 0)
      expect(Math.round(stock * 1000)).toBe(sum)
      const found = moves.findLast(({ kind }) => kind === 'counted')
      if (found && moves.at(-1) === found) {
        const last = acts.at(-1)
        if (last?.kind === 'counted')
          expect(stock).toBeCloseTo((last as { grams: number }).grams, 6)
      }
    }),
    { numRuns: 60 },
  )
  expect(() => db.prepare('UPDATE moves SET thousandths = 0').run()).toThrow(/never changed/)
  db.close()
})
