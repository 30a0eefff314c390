import type { Thumbnail } from '#contracts/thumbnail'

/** What lies in the bar, as SVG: the ground is drawn already. */
function inside({ pattern, colours }: Thumbnail, w: number, h: number): string {
  const [, one = colours[0]!] = colours
  const rect = (x: number, y: number, width: number, height: number, fill: string) =>
    `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${fill}"/>`
  /** How far a pour swings up and down: less on a bar that stands. */
  const swing = Math.min(h, w * 0.9)
  const wave = (level: number, fill: string) =>
    `<path d="M0 ${level}C${w * 0.25} ${level - swing * 0.14} ${w * 0.38} ${level - swing * 0.1} ${w * 0.55} ${level}S${w * 0.88} ${level + swing * 0.06} ${w} ${level - swing * 0.08}V${h}H0Z" fill="${fill}"/>`
  /** From the bottom up, the first colour lowest. */
  const stacked = (draw: (top: number, bottom: number, fill: string) => string) =>
    [...colours]
      .map((fill, at) =>
        draw(h - ((at + 1) * h) / colours.length, h - (at * h) / colours.length, fill),
      )
      .reverse()
      .join('')
  switch (pattern) {
    case 'plain':
      return ''
    case 'wave':
      return colours
        .slice(1)
        .map((fill, at) => wave(h * (0.58 + 0.24 * at), fill))
        .join('')
    case 'layers':
      return stacked((top, bottom, fill) => rect(0, top, w, bottom - top, fill))
    case 'shades':
      return stacked((top, _bottom, fill) =>
        top <= 0.01 ? rect(0, 0, w, h, fill) : wave(top, fill),
      )
    case 'swirl': {
      const ribbon = (shift: number, fill: string) =>
        `<path transform="translate(0 ${shift})" d="M${-w * 0.1} ${h * 0.75}C${w * 0.2} ${h * 0.1} ${w * 0.45} ${h * 0.1} ${w * 0.5} ${h * 0.5}S${w * 0.8} ${h * 0.95} ${w * 1.1} ${h * 0.2}" fill="none" stroke="${fill}" stroke-width="${(swing * 0.2) / Math.max(1, (colours.length - 1) * 0.7)}"/>`
      const others = colours.slice(1, 4)
      return others
        .map((fill, at) => ribbon((at - (others.length - 1) / 2) * h * 0.22, fill))
        .join('')
    }
    case 'line':
      return colours
        .slice(1, 3)
        .map((fill, at) => rect(0, h * (0.42 + 0.24 * at), w, h * 0.16, fill))
        .join('')
    case 'flecks':
      return [
        [0.22, 0.25],
        [0.58, 0.18],
        [0.8, 0.38],
        [0.36, 0.5],
        [0.65, 0.6],
        [0.18, 0.75],
        [0.5, 0.82],
        [0.84, 0.78],
      ]
        .map(
          ([x, y]) =>
            `<circle cx="${w * x!}" cy="${h * y!}" r="${Math.min(w, h) * 0.07}" fill="${one}"/>`,
        )
        .join('')
    case 'stamp':
      return [0.36, 0.58].map((y) => rect(w * 0.24, h * y, w * 0.52, h * 0.09, one)).join('')
    case 'split':
      return `<path d="M${w * 0.58} 0L${w * 0.44} ${h}H${w}V0Z" fill="${one}"/>`
    case 'rind': {
      const edge = Math.min(w, h) * 0.15
      return `<path fill-rule="evenodd" d="M0 0H${w}V${h}H0ZM${edge} ${edge}V${h - edge}H${w - edge}V${edge}Z" fill="${one}"/>`
    }
  }
}

/**
 * A bar by its picture, as an SVG of its own: planed corners, its colours, its outline.
 * @param w and h in CSS pixels
 * @param gap empty pixels to its right, where many stand in a row
 */
export function thumbnailSvg(thumbnail: Thumbnail, w: number, h: number, gap = 0): string {
  const c = Math.max(2, Math.min(w, h) / 6)
  const corners = (inset: number) =>
    [
      [c, inset],
      [w - c, inset],
      [w - inset, c],
      [w - inset, h - c],
      [w - c, h - inset],
      [c, h - inset],
      [inset, h - c],
      [inset, c],
    ]
      .map((point) => point.join(','))
      .join(' ')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w + gap}" height="${h}" viewBox="0 0 ${w + gap} ${h}"><clipPath id="a"><polygon points="${corners(0)}"/></clipPath><g clip-path="url(#a)"><rect width="${w}" height="${h}" fill="${thumbnail.colours[0]}"/>${inside(thumbnail, w, h)}</g><polygon points="${corners(0.5)}" fill="none" stroke="#5c6663" stroke-width="0.9"/></svg>`
}

const drawn = new Map<string, string>()
/** The same as an address for images and backgrounds: one picture however many bars show it. */
export function thumbnailUrl(thumbnail: Thumbnail, w: number, h: number, gap = 0): string {
  const key = `${thumbnail.pattern} ${thumbnail.colours.join()} ${w} ${h} ${gap}`
  const there = drawn.get(key)
  if (there) return there
  const url = `data:image/svg+xml,${encodeURIComponent(thumbnailSvg(thumbnail, w, h, gap))}`
  drawn.set(key, url)
  return url
}
