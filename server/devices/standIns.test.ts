import { describe, expect, it } from 'vitest'
import type { StreamedReading } from '#contracts/device'
import { openJugPeak, suspectsWeakLye, type LyeJug } from '#core/heat/dissolving'
import { randomSource } from '#core/statistics/randomSource'
import { StandIns } from './standIns'
import { StandInScale } from './standInScale'
import { StandInVessel } from './standInVessel'

const pass = (thing: { step(seconds: number): void }, seconds: number, each = 0.2) => {
  for (let at = 0; at < seconds; at += each) thing.step(each)
}

describe('the stand-in scale', () => {
  const scale = () => new StandInScale(0.1, 5000, randomSource(7))

  it('settles on what is poured, in steps, with its own tare', () => {
    const one = scale()
    one.put(212)
    pass(one, 3)
    one.tare()
    one.put(151, 60)
    pass(one, 1)
    expect(one.read().value).toBeLessThan(80)
    pass(one, 5)
    const values = Array.from({ length: 6 }, () => one.read())
    expect(values.at(-1)!.value).toBeCloseTo(151, 0)
    expect(values.at(-1)!.stable).toBe(true)
    expect(Math.abs(values[0]!.value! * 10 - Math.round(values[0]!.value! * 10))).toBeLessThan(1e-6)
  })

  it('is not stable while it is poured on, and says nothing under overload', () => {
    const one = scale()
    one.put(4000, 100)
    const seen = Array.from({ length: 8 }, () => {
      one.step(0.2)
      return one.read().stable
    })
    expect(seen).not.toContain(true)
    one.put(6000)
    pass(one, 3)
    expect(one.read()).toEqual({ value: null, stable: false })
  })
})

describe('the stand-in vessels', () => {
  const jug: LyeJug = {
    naoh: 145,
    koh: 0,
    readyNaoh: 0,
    readyWater: 0,
    water: 300,
    ice: 0,
    other: 0,
    roomC: 20,
    iceC: -18,
    jugHeat: 285,
  }
  const hottest = (weak: boolean) => {
    const lye = new StandInVessel('lye', 20, randomSource(3))
    lye.dissolve(jug, weak)
    let most = 0
    for (let at = 0; at < 600; at += 1) {
      lye.step(1)
      most = Math.max(most, lye.read())
    }
    return { lye, most }
  }

  it('fresh lye peaks where an open jug should, weak lye so low that it is suspected', () => {
    const { low, high } = openJugPeak(jug)
    const { most } = hottest(false)
    expect(most).toBeGreaterThan(low - 2)
    expect(most).toBeLessThan(high + 2)
    expect(suspectsWeakLye(jug, most)).toBe(false)
    expect(suspectsWeakLye(jug, hottest(true).most)).toBe(true)
  })

  it('cools towards the room, and far faster in ice', () => {
    const { lye } = hottest(false)
    const before = lye.read()
    pass(lye, 300, 1)
    const inAir = before - lye.read()
    lye.ice(true)
    const then = lye.read()
    pass(lye, 300, 1)
    expect(then - lye.read()).toBeGreaterThan(inAir * 3)
  })

  it('milk from the freezer cools it at once', () => {
    const { lye } = hottest(false)
    const before = lye.read()
    lye.add(300, -2)
    pass(lye, 30, 1)
    expect(lye.read()).toBeLessThan(before - 15)
  })
})

describe('a set of stand-ins', () => {
  it('falls silent when told to, and lets time pass at once', () => {
    const said: StreamedReading[] = []
    const setup = {
      at: '2026-11-23T09:00:00.000Z',
      speed: 60,
      roomC: 20,
      resolution: 0.1,
      most: 5000,
      seed: 1,
    }
    const set = new StandIns('a', setup, (reading) => said.push(reading))
    set.act({ act: 'silence', device: 'scale', on: true })
    set.act({ act: 'warm', vessel: 'oils', toC: 60, grams: 1000 })
    set.act({ act: 'skip', minutes: 5 })
    set.start(() => undefined)
    return new Promise<void>((done) => {
      setTimeout(() => {
        set.stop()
        expect(said.some(({ device }) => device === 'a:scale')).toBe(false)
        const oils = said.filter(({ device }) => device === 'a:oils')
        expect(oils[0]!.value).toBeGreaterThan(45)
        // five minutes were skipped, and the clock runs sixty times as fast
        expect(oils.at(-1)!.at - Date.parse(setup.at)).toBeGreaterThan(300_000 + 10_000)
        done()
      }, 700)
    })
  })
})
