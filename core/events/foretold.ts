import type { EventKind } from './kind'

/** What Mantle foretold, kept as it was said: later it is held against what became true. Nobody writes it by hand. */
export const foretold: EventKind<'foretold'> = {
  whyNot: () => 'Forecasts are kept by Mantle itself.',
  says: ({ forecasts }, { say }) =>
    `Foretold: ${say.list(
      forecasts.map(({ what, of, at, low, high }) => {
        const between = (unit: (value: number) => string) => `${unit(low)} to ${unit(high)}`
        switch (what) {
          case 'peak':
            return `lye jug ${between(say.temperature)}`
          case 'meeting':
            return `lye and oils meet after ${between((minutes) => say.number(minutes))} minutes`
          case 'stage':
            return `${of ?? 'stage'} after ${between((minutes) => say.number(minutes, 0, 1))} minutes`
          case 'unmould':
            return `unmould ${between((hours) => say.number(hours))} hours after the pour`
          case 'dry':
            return `dry on day ${between((days) => say.number(days))}`
          case 'net':
            return `label ${say.massDown(at)}`
          case 'yield':
            return `batter ${between(say.mass)}`
        }
      }),
    )}`,
  often: { tick: null },
}
