import { iceBath, perMinuteOf } from '#core/heat/cooling'
import { jugCapacity, peakWithoutLoss, type LyeJug } from '#core/heat/dissolving'
import { afterSpoon, beginsAt } from '#core/heat/spoons'
import type { RandomSource } from '#core/statistics/randomSource'

/** s in which most of the lye is dissolved, and in which a stove warms by what is missing. */
const dissolving = 35
/** How much less heat lye gives that lay open for a year. */
const weakHeat = 0.35
/** Steam takes more the hotter it is: at 90 °C as much again as air does. */
const steam = (celsius: number) => 1 + Math.max(0, celsius - 50) / 40
/** While it is stirred it loses several times as much. */
const stirring = { times: 5, seconds: 150 }
/** A probe follows what it stands in within some seconds, and reads with this much noise, °C. */
const probe = { seconds: 6, noise: 0.2 }
/** J/gK of what is mostly water or milk, and of fats. */
const heatOf = { lye: 3.6, oils: 2 }

/** A stand-in for a vessel with a thermometer in it: the heat that comes, the heat that goes, and a probe that lags. */
export class StandInVessel {
  private celsius: number
  private shown: number
  private capacity: number
  private perMinute = 0.015
  private heat = { joules: 0, perSecond: 0 }
  private stove: number | null = null
  private iced = false
  private stirredFor = Infinity

  constructor(
    private readonly kind: 'lye' | 'oils',
    private readonly roomC: number,
    private readonly random: RandomSource,
  ) {
    this.celsius = roomC
    this.shown = roomC
    this.capacity = 1500
  }

  dissolve(jug: LyeJug, weak: boolean): void {
    this.capacity = Math.max(200, jugCapacity(jug))
    this.perMinute = perMinuteOf(this.capacity / 4, this.capacity)
    const rise = (peakWithoutLoss(jug) - jug.roomC) * (weak ? weakHeat : 1)
    this.celsius = jug.roomC
    this.heat = { joules: rise * this.capacity, perSecond: 1 / dissolving }
    this.stirredFor = 0
  }
  /**
   * Lye into milk: what is there warms by what this spoon gives; before the first it is as cold as it came.
   * @param share of the lye that is in already, 0–1
   */
  spoon(jug: LyeJug, share: number, spoon: number): void {
    this.capacity = Math.max(200, jugCapacity(jug))
    this.perMinute = perMinuteOf(this.capacity / 4, this.capacity)
    if (share === 0) this.celsius = this.shown = beginsAt(jug)
    const rise = afterSpoon(jug, this.celsius, share, spoon) - this.celsius
    this.heat = { joules: this.heat.joules + rise * this.capacity, perSecond: 1 / 10 }
  }
  /** @param grams what stands on the stove */
  warm(toC: number, grams: number): void {
    if (grams > 0) {
      this.capacity = grams * heatOf[this.kind]
      this.perMinute = perMinuteOf(grams / 0.91, this.capacity)
    }
    this.stove = toC
  }
  add(grams: number, celsius: number): void {
    const own = grams * heatOf.lye
    this.celsius = (this.celsius * this.capacity + celsius * own) / (this.capacity + own)
    this.capacity += own
  }
  ice(on: boolean): void {
    this.iced = on
  }

  step(seconds: number): void {
    const given = this.heat.joules * (1 - Math.exp(-this.heat.perSecond * seconds))
    this.heat.joules -= given
    this.celsius += given / this.capacity
    if (this.stove !== null) {
      this.celsius += (this.stove + 2 - this.celsius) * (1 - Math.exp(-seconds / 60))
      if (this.celsius >= this.stove) this.stove = null
    }
    const { roomC, times } = this.iced ? iceBath : { roomC: this.roomC, times: 1 }
    const stirred = this.stirredFor < stirring.seconds ? stirring.times : 1
    this.stirredFor += seconds
    const rate = (this.perMinute / 60) * times * stirred * steam(this.celsius)
    this.celsius = roomC + (this.celsius - roomC) * Math.exp(-rate * seconds)
    this.shown += (this.celsius - this.shown) * (1 - Math.exp(-seconds / probe.seconds))
  }

  /** What the thermometer says, to a tenth of a degree. */
  read(): number {
    return Math.round((this.shown + this.random.normal() * probe.noise) * 10) / 10
  }
}
