import type { RandomSource } from '#core/statistics/randomSource'
import { roundTo } from '#core/statistics/roundTo'

/**
 * A stand-in for a kitchen scale: what lies on it, seen through springs that need a moment to settle, noise, a zero that
 * wanders, steps, its own tare and an end to what it bears.
 */
export class StandInScale {
  private load = 0
  private pouring = { left: 0, perSecond: 0 }
  private seen = 0
  private zero = 0
  private tared = 0
  private last: number[] = []

  /**
   * @param resolution g
   * @param most g it bears
   */
  constructor(
    private readonly resolution: number,
    private readonly most: number,
    private readonly random: RandomSource,
  ) {}

  /** Puts something on all at once, or pours it at so many g per second. */
  put(grams: number, perSecond = Infinity): void {
    if (Number.isFinite(perSecond)) this.pouring = { left: this.pouring.left + grams, perSecond }
    else this.load += grams
  }
  take(grams: number): void {
    this.load = Math.max(0, this.load - grams)
  }
  /** Everything off, and the pouring with it. */
  clear(): void {
    this.load = 0
    this.pouring = { left: 0, perSecond: 0 }
  }
  tare(): void {
    this.tared = this.seen
  }

  /** Lets time pass. Settles with a time constant of 0.35 s; the zero wanders by a tenth of a step a minute. */
  step(seconds: number): void {
    const poured = Math.min(this.pouring.left, this.pouring.perSecond * seconds)
    this.load += poured
    this.pouring.left -= poured
    const splash = poured > 0 ? this.random.normal() * this.resolution * 6 : 0
    this.seen += (this.load + splash - this.seen) * (1 - Math.exp(-seconds / 0.35))
    this.zero += this.random.normal() * this.resolution * 0.1 * Math.sqrt(seconds / 60)
  }

  /** What the display says: null under overload. */
  read(): { value: number | null; stable: boolean } {
    if (this.seen > this.most) return { value: null, stable: false }
    const noisy = this.seen + this.zero - this.tared + this.random.normal() * this.resolution * 0.2
    const value = Math.round(noisy / this.resolution) * this.resolution
    this.last = [...this.last.slice(-4), value]
    const stable =
      this.last.length === 5 &&
      Math.max(...this.last) - Math.min(...this.last) <= this.resolution + 1e-9
    return { value: roundTo(value, 4), stable }
  }
}
