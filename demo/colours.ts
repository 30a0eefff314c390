import type { Colour } from '#contracts/colour'
import { addDays } from '#core/units/days'

/* How the Slate Shed's colours came out, by bars that Jo held to the north window with a grey card. */

type Bar = [rate: number, gelled: boolean, day: number, swatch: string, card?: false]
const told: Record<string, Omit<Colour, 'seen'> & { bars: Bar[] }> = {
  'rose-clay': {
    rate: 0.02,
    carrier: 'water',
    parts: 2,
    bleeds: 'no',
    note: 'In oil it goes lumpy. A quarter hour in warm water first.',
    bars: [
      [0.02, false, 3, '#dcb4a2'],
      [0.02, false, 28, '#d4a791'],
      [0.02, true, 3, '#c28a72'],
      [0.02, true, 28, '#bb8068'],
      [0.01, false, 28, '#e1c3b2'],
    ],
  },
  'activated-charcoal': {
    rate: 0.006,
    carrier: 'oil',
    parts: 3,
    bleeds: 'tints',
    note: 'Grey foam above a teaspoon for the kilo. Towels stay white.',
    bars: [
      [0.004, true, 14, '#7f8480'],
      [0.008, true, 14, '#4e5453'],
      [0.02, true, 14, '#2c3030'],
    ],
  },
  ultramarine: {
    rate: 0.008,
    carrier: 'oil',
    parts: 3,
    bleeds: 'no',
    note: '',
    bars: [
      [0.004, false, 7, '#a9b7cf', false],
      [0.008, false, 7, '#7f93bd'],
      [0.008, true, 7, '#6f86b8'],
    ],
  },
  indigo: {
    rate: 0.01,
    carrier: 'lye',
    parts: null,
    bleeds: 'stains',
    note: 'Green on the first day, blue by the third. Blue foam at 1 %: half of it next time.',
    bars: [
      [0.01, false, 1, '#7d9481'],
      [0.01, false, 10, '#60788c'],
      [0.01, false, 60, '#6a8294'],
    ],
  },
  'iron-oxide-yellow': {
    rate: 0.005,
    carrier: 'oil',
    parts: 3,
    bleeds: 'tints',
    note: '',
    bars: [[0.01, true, 21, '#cf9f4f']],
  },
}

/** What the Slate Shed knows of its colours, by the id of the extra. */
export const demoColours = (today: string): { id: string; document: Colour }[] =>
  Object.entries(told).map(([id, { bars, ...document }], nth) => ({
    id,
    document: {
      ...document,
      seen: bars.map(([rate, gelled, day, swatch, card = true], at) => ({
        id: `0192d3f0-0000-7000-8050-0000000${String(nth).padStart(2, '0')}0${String(at).padStart(2, '0')}`,
        on: addDays(today, day - 200 - nth * 10),
        day,
        gelled,
        rate,
        swatch,
        card,
        batchId: null,
      })),
    },
  }))
