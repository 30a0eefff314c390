import type { VesselForm } from '#contracts/storeWords'

/** What a vessel is drawn with, in a box of w × h: its outline, where its inside begins, and what is on top of it. */
export interface VesselShape {
  outline: string
  /** px from the top to where it is full. */
  top: number
  lid: { d: string; fill: string; stroke?: string; width?: number }[]
}

/** The ink of the page: a vessel stands before a dark shed too. */
const dark = 'currentColor'
const lidded = '#7d8784'
const box = (x: number, y: number, w: number, h: number) => `M${x} ${y}h${w}v${h}h${-w}Z`

/** Each kind of vessel as a path. */
export const vesselShapes: Record<VesselForm, (w: number, h: number) => VesselShape> = {
  bottle(w, h) {
    const neck = w * 0.3
    const left = w / 2 - neck / 2
    const right = w / 2 + neck / 2
    return {
      outline: `M${left} ${h * 0.1} V${h * 0.2} Q${left} ${h * 0.26} ${w * 0.16} ${h * 0.29} Q0 ${h * 0.34} 0 ${h * 0.42} V${h - 4} Q0 ${h} 4 ${h} H${w - 4} Q${w} ${h} ${w} ${h - 4} V${h * 0.42} Q${w} ${h * 0.34} ${w * 0.84} ${h * 0.29} Q${right} ${h * 0.26} ${right} ${h * 0.2} V${h * 0.1} Z`,
      top: h * 0.3,
      lid: [{ d: box(left - 3, 0, neck + 6, h * 0.11), fill: dark }],
    }
  },
  jar: (w, h) => ({
    outline: `M3 9 H${w - 3} Q${w} 12 ${w} 18 V${h - 5} Q${w} ${h} ${w - 5} ${h} H5 Q0 ${h} 0 ${h - 5} V18 Q0 12 3 9Z`,
    top: 16,
    lid: [{ d: box(2, 0, w - 4, 10), fill: lidded }],
  }),
  bucket(w, h) {
    const t = w * 0.09
    return {
      outline: `M0 8 H${w} L${w - t} ${h - 3} Q${w - t - 1} ${h} ${w - t - 4} ${h} H${t + 4} Q${t + 1} ${h} ${t} ${h - 3} Z`,
      top: 10,
      lid: [
        { d: box(-3, 2, w + 6, 8), fill: '#fff', stroke: dark, width: 2 },
        {
          d: `M${w * 0.06} 14 Q${w / 2} ${h * 0.52} ${w * 0.94} 14`,
          fill: 'none',
          stroke: '#5c6663',
          width: 1.5,
        },
      ],
    }
  },
  drum: (w, h) => ({
    outline: `M3 3 H${w - 3} V${h * 0.32} H${w} V${h * 0.36} H${w - 3} V${h * 0.64} H${w} V${h * 0.68} H${w - 3} V${h} H3 V${h * 0.68} H0 V${h * 0.64} H3 V${h * 0.36} H0 V${h * 0.32} H3 Z`,
    top: 6,
    lid: [
      { d: box(0, 0, w, 5), fill: dark },
      { d: box(w * 0.2, -5, 14, 6), fill: dark },
    ],
  }),
  can: (w, h) => ({
    outline: `M8 14 H${w * 0.3} L${w * 0.36} 10 H${w - 10} Q${w} 12 ${w} 22 V${h - 5} Q${w} ${h} ${w - 5} ${h} H5 Q0 ${h} 0 ${h - 5} V22 Q0 16 8 14Z`,
    top: 22,
    lid: [
      { d: box(10, 3, 16, 11), fill: dark },
      { d: `M${w * 0.44} 10 V2 H${w - 8} V10`, fill: 'none', stroke: dark, width: 3 },
    ],
  }),
  sack: (w, h) => ({
    outline: `M${w * 0.12} 12 Q${w / 2} 20 ${w * 0.88} 12 Q${w * 1.04} ${h * 0.5} ${w} ${h - 7} Q${w * 0.98} ${h} ${w * 0.86} ${h} H${w * 0.14} Q${w * 0.02} ${h} 0 ${h - 7} Q${w * -0.04} ${h * 0.5} ${w * 0.12} 12Z`,
    top: 22,
    lid: [
      {
        d: `M${w * 0.1} 2 L${w * 0.12} 12 Q${w / 2} 20 ${w * 0.88} 12 L${w * 0.9} 2 Q${w / 2} 9 ${w * 0.1} 2Z`,
        fill: '#fff',
        stroke: dark,
        width: 2,
      },
    ],
  }),
  box: (w, h) => ({
    outline: `M0 10 H${w} V${h} H0Z`,
    top: 12,
    lid: [{ d: box(-3, 1, w + 6, 10), fill: '#fff', stroke: dark, width: 2 }],
  }),
  packet: (w, h) => ({
    outline: `M0 4 H${w} V${h} H0Z`,
    top: 6,
    lid: [{ d: `M${w * 0.5} 4 V${h}`, fill: 'none', stroke: dark, width: 1.5 }],
  }),
}

/** How large a vessel is drawn, px: what it holds goes by what it is. */
export const vesselSizes: Record<VesselForm, [width: number, height: number]> = {
  bottle: [30, 74],
  jar: [46, 56],
  bucket: [80, 74],
  drum: [82, 88],
  can: [70, 76],
  sack: [66, 72],
  box: [80, 52],
  packet: [46, 40],
}
