import type { BlendKind } from '#contracts/storeWords'
import type { Library } from '#core/materials/library'
import { sumOf } from '#core/statistics/sum'
import type { Formatter } from '#core/units/formatter'
import type { BlendPart } from '~/composables/useBlending'

/** One step of making up a stock. */
export interface BlendStep {
  says: string
  how: string
  grams?: number
  caustic?: boolean
}

/** How a stock is made up, in its order. */
export function blendSteps(
  kind: BlendKind,
  parts: readonly BlendPart[],
  grams: number,
  library: Library,
  say: Formatter,
): BlendStep[] {
  const gramsOf = (list: readonly BlendPart[]) => sumOf(list, (part) => part.grams)
  const of = (thing: string) => gramsOf(parts.filter((part) => part.thing === thing))
  const names = (list: readonly BlendPart[]) =>
    say.list(
      list.map(({ name }) => name.split(',')[0]!),
      'and',
    )
  if (kind === 'lye')
    return [
      {
        says: 'Goggles, gloves, a window open, nobody else in the room',
        how: 'a steel, PP or HDPE vessel with room for half as much again',
      },
      {
        says: 'Water into the vessel, half of it as ice',
        how: 'half as ice keeps it from boiling and fuming',
        grams: of('water'),
      },
      {
        says: 'Lye into it, in five goes, never water onto lye',
        how: `about ${say.mass(of('naoh') / 5)} each; the next when it is clear`,
        grams: of('naoh'),
        caustic: true,
      },
      { says: 'Stir clear, lid it, let it cool to the room', how: 'out of reach, signed' },
      {
        says: 'Into its can through a sieve',
        how: 'HDPE with a tight lid, never a bottle for drinks',
        grams,
        caustic: true,
      },
      {
        says: 'Weigh 100 ml of it',
        how: 'a cylinder on the scale, tare, fill to the ring, at 20 °C',
      },
      { says: 'Label on, behind the lock', how: 'before it leaves the bench' },
    ]
  if (kind === 'coloured')
    return [
      ...parts.map(({ name, grams: own }) => ({
        says: `${name.split(',')[0]} into one cup`,
        how: 'on the scale, tared in between',
        grams: own,
      })),
      { says: 'Rub it smooth', how: 'a small blender or a spoon, until no speck is left' },
      { says: 'Into a jar, label on', how: 'shake before every use' },
    ]
  const isHard = ({ thing }: BlendPart) => library.fats.get(thing)?.stateAt20 !== 'liquid'
  const hard = parts.filter(isHard)
  const liquid = parts.filter((part) => !isHard(part))
  return [
    ...(hard.length
      ? [
          {
            says: `${names(hard)}, melted until just clear`,
            how: 'in a steel pot, low heat',
            grams: gramsOf(hard),
          },
        ]
      : []),
    ...(liquid.length
      ? [
          {
            says: `${names(liquid)} into ${hard.length ? 'it' : 'the pot'}`,
            how: hard.length ? 'the liquid oils cool it' : 'one after the other',
            grams: gramsOf(liquid),
          },
        ]
      : []),
    { says: 'Stir five minutes, from the bottom up', how: 'no streak left on the side of the pot' },
    {
      says: 'Into the bucket, lid on when it is lukewarm',
      how: 'weigh it with its bucket',
      grams,
    },
    { says: 'Both labels on', how: 'one for the bucket, one for the lid' },
  ]
}

/** What a stock of its kind is kept in. */
export const blendVessel = { oils: 'bucket', lye: 'can', coloured: 'jar' } as const
