import type { SkippedReading, StandInAct, StandInSetup, StreamedReading } from '#contracts/device'
import { randomSource } from '#core/statistics/randomSource'
import { StandInScale } from './standInScale'
import { StandInVessel } from './standInVessel'

/** ms between two readings of the scale; thermometers speak every other time. */
const pace = 200
/** ms of the server's own time after which a set that nobody asks for goes. */
const forgottenAfter = 10 * 60_000
/** Minutes between two readings while time is let pass. */
const everyMinutes = 0.5
/** s of the model in one go: springs and probes need small steps. */
const longestStep = 1

/** A scale and two thermometers on a clock of their own, which may run up to sixty times as fast. */
export class StandIns {
  readonly scale: StandInScale
  readonly lye: StandInVessel
  readonly oils: StandInVessel
  private readonly silent = new Set<string>()
  private speed: number
  private clock: number
  private count = 0
  private timer: ReturnType<typeof setInterval> | undefined
  private asked = Date.now()

  constructor(
    private readonly id: string,
    setup: StandInSetup,
    private readonly publish: (reading: StreamedReading) => void,
  ) {
    const random = randomSource(setup.seed)
    this.scale = new StandInScale(setup.resolution, setup.most, random)
    this.lye = new StandInVessel('lye', setup.roomC, random)
    this.oils = new StandInVessel('oils', setup.roomC, random)
    this.speed = setup.speed
    this.clock = Date.parse(setup.at)
  }

  start(gone: () => void): void {
    this.timer = setInterval(() => {
      if (Date.now() - this.asked > forgottenAfter) {
        this.stop()
        gone()
      } else this.tick()
    }, pace)
    this.timer.unref()
  }
  stop(): void {
    clearInterval(this.timer)
  }

  private pass(seconds: number): void {
    for (let left = seconds; left > 0; left -= longestStep) {
      const step = Math.min(left, longestStep)
      this.lye.step(step)
      this.oils.step(step)
    }
    this.clock += seconds * 1000
  }

  private skip(minutes: number): SkippedReading[] {
    const all: SkippedReading[] = []
    for (let passed = 0; passed < minutes;) {
      const more = Math.min(everyMinutes, minutes - passed)
      this.pass(more * 60)
      passed += more
      const read = (device: 'lye' | 'oils') =>
        this.silent.has(device) ? null : this[device].read()
      all.push({ minutes: passed, lye: read('lye'), oils: read('oils') })
    }
    return all
  }

  private tick(): void {
    // Pouring and settling stay at the pace of hands; heat runs at the pace of the clock.
    this.scale.step(pace / 1000)
    this.pass((pace / 1000) * this.speed)
    const tell = (
      device: string,
      kind: 'grams' | 'celsius',
      value: number | null,
      stable?: boolean,
    ) => {
      if (!this.silent.has(device))
        this.publish({ device: `${this.id}:${device}`, kind, value, stable, at: this.clock })
    }
    const { value, stable } = this.scale.read()
    tell('scale', 'grams', value, stable)
    if (this.count++ % 2 === 0) {
      tell('lye', 'celsius', this.lye.read())
      tell('oils', 'celsius', this.oils.read())
    }
  }

  /** Gives what was to be read while time was let pass: a reading every half minute, so that no peak is passed over. */
  act(act: StandInAct): SkippedReading[] {
    this.asked = Date.now()
    if (act.act === 'skip') return this.skip(act.minutes)
    this.does(act)
    return []
  }
  private does(act: Exclude<StandInAct, { act: 'skip' }>): void {
    switch (act.act) {
      case 'place':
        return this.scale.put(act.grams)
      case 'lift':
        return this.scale.clear()
      case 'pour':
        return this.scale.put(act.grams, act.perSecond)
      case 'take':
        return this.scale.take(act.grams)
      case 'tare':
        return this.scale.tare()
      case 'dissolve':
        return this.lye.dissolve(act.jug, act.weak)
      case 'spoon':
        return this.lye.spoon(act.jug, act.share, act.spoon)
      case 'warm':
        return this[act.vessel].warm(act.toC, act.grams)
      case 'ice':
        return this[act.vessel].ice(act.on)
      case 'add':
        return this[act.vessel].add(act.grams, act.celsius)
      case 'silence':
        return void (act.on ? this.silent.add(act.device) : this.silent.delete(act.device))
      case 'speed':
        this.speed = act.times
    }
  }

  /** Somebody still works with it. */
  keepAlive(): void {
    this.asked = Date.now()
  }
}
