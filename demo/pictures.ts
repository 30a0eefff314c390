import { PNG } from 'pngjs'
import type { Thumbnail } from '#contracts/thumbnail'
import type { Trouble } from '#contracts/rackWords'
import { randomSource } from '#core/statistics/randomSource'

/* The Slate Shed's photos: drawn here, since nobody has photographed soap that does not exist. */

type Colour = [number, number, number]
const colourOf = (hex: string): Colour => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
]
const bench: Colour = [112, 108, 100]
const width = 480
const height = 360

/** Packed quickly rather than small: they are many, and drawn while somebody waits for the demo. */
const pngOf = (png: PNG): Buffer => PNG.sync.write(png, { filterType: 1, deflateLevel: 2 })

/** A cut face on the bench, with the wave of its pour, and what is wrong with it. */
export function drawnPhoto(
  thumbnail: Thumbnail,
  seed: number,
  trouble: Trouble | null = null,
): Buffer {
  const random = randomSource(seed)
  const png = new PNG({ width, height })
  const [base, wave] = [colourOf(thumbnail.colours[0]!), colourOf(thumbnail.colours.at(-1)!)]
  const spots = Array.from({ length: 16 }, () => ({
    x: 90 + random.uniform() * 300,
    y: 80 + random.uniform() * 200,
    r: 3 + random.uniform() * 9,
  }))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = x > 70 && x < 410 && y > 60 && y < 300
      const line = 60 + 240 * 0.56 + 22 * Math.sin(x / 38) + 9 * Math.sin(x / 13)
      let colour = inside ? (y > line ? wave : base) : bench
      const spot = inside && spots.some((one) => Math.hypot(x - one.x, y - one.y) < one.r)
      if (spot && trouble === 'orange-spots') colour = [196, 120, 40]
      if (inside && trouble === 'ash' && y < 92 + 8 * Math.sin(x / 21)) colour = [240, 240, 236]
      if (inside && trouble === 'oil-on-top' && y < 88) colour = [205, 180, 92]
      if (inside && trouble === 'crumbled' && x > 378 + 14 * Math.sin(y / 9)) colour = bench
      const grain = 1 + (random.uniform() - 0.5) * 0.07 - (inside ? (y - 60) / 2600 : 0)
      colour.forEach((value, place) => {
        png.data[(y * width + x) * 4 + place] = Math.max(0, Math.min(255, value * grain))
      })
      png.data[(y * width + x) * 4 + 3] = 255
    }
  return pngOf(png)
}

/** Two bars of a trial day beside each other on slate, plain on the left, and a card in yellowish light below them. */
export function drawnSamples(plain: string, sample: string, seed: number): Buffer {
  const random = randomSource(seed)
  const png = new PNG({ width, height })
  const [left, right] = [colourOf(plain), colourOf(sample)]
  const slate: Colour = [84, 90, 87]
  const card: Colour = [238, 238, 236]
  /** What evening light takes from each part of a colour. */
  const light: Colour = [1, 0.96, 0.86]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const high = y > 50 && y < 190
      const colour =
        high && x > 40 && x < 220
          ? left
          : high && x > 255 && x < 435
            ? right
            : y > 240 && y < 310 && x > 60 && x < 200
              ? card
              : slate
      const grain = 1 + (random.uniform() - 0.5) * 0.05
      colour.forEach((value, place) => {
        png.data[(y * width + x) * 4 + place] = Math.min(250, value * light[place]! * grain)
      })
      png.data[(y * width + x) * 4 + 3] = 255
    }
  return pngOf(png)
}

/** A page of a notebook, photographed: ruled paper with lines of a pen. */
export function drawnPage(seed: number): Buffer {
  const random = randomSource(seed)
  const [wide, tall] = [240, 320]
  const png = new PNG({ width: wide, height: tall })
  const paper: Colour = [241, 230, 205]
  const ink: Colour = [44, 66, 120]
  const dots = new Set<number>()
  for (let row = 2; row < 13; row++) {
    if (random.uniform() < 0.15) continue
    let x = 34 + random.uniform() * 6
    const end = 70 + random.uniform() * 140
    const base = row * 22 + random.uniform() * 3
    let phase = random.uniform() * 6
    while (x < end) {
      phase += 0.5 + random.uniform() * 0.4
      const y = base - 4 + 5 * Math.sin(phase)
      for (const [dx, dy] of [
        [0, 0],
        [1, 0],
        [0, 1],
      ] as const)
        dots.add(Math.round(y + dy) * wide + Math.round(x + dx))
      x += random.uniform() < 0.05 ? 7 : 0.9
    }
  }
  for (let y = 0; y < tall; y++)
    for (let x = 0; x < wide; x++) {
      const edge = x < 6 || x > wide - 8 || y < 6 || y > tall - 8
      let colour = edge ? bench : paper
      if (!edge && y % 22 === 14) colour = [196, 205, 208]
      if (!edge && x === 28) colour = [205, 140, 130]
      if (!edge && dots.has(y * wide + x)) colour = ink
      const grain = 1 + (random.uniform() - 0.5) * 0.05 - (x + y) / 4000
      colour.forEach((value, place) => {
        png.data[(y * wide + x) * 4 + place] = Math.max(0, Math.min(255, value * grain))
      })
      png.data[(y * wide + x) * 4 + 3] = 255
    }
  return pngOf(png)
}
