import type { FormulaResult } from '#contracts/result'
import type { Library } from '../materials/library'
import { sumOf } from '../statistics/sum'

export type Substance = 'fat' | 'water' | 'liquid' | 'lye' | 'additive' | 'scent'

export interface WeighLine {
  id: string
  name: string
  substance: Substance
  grams: number
  note?: string
}

export interface WeighGroup {
  title: string
  how: string
  lines: WeighLine[]
}

const firmness = { hard: 0, soft: 1, liquid: 2 }

/**
 * Everything to weigh, in the order of making: water and what dissolves in it, lye, fats from hard to liquid, what goes
 * into the oils, what goes in at trace, scent. Empty groups are left out.
 * @example makingOrder(made, shipped).length // 3
 */
export function makingOrder(result: FormulaResult, library: Library): WeighGroup[] {
  const { lye, water } = result
  const additives = (...moments: string[]): WeighLine[] =>
    result.additives
      .filter((additive) => moments.includes(additive.moment))
      .map(({ id, name, grams }) => ({ id, name, grams, substance: 'additive' }))
  const liquids = (moment: string, cooled = false): WeighLine[] =>
    result.liquids
      .filter(
        (liquid) =>
          liquid.moment === moment &&
          (moment === 'lye' && liquid.way === 'into-cooled-lye') === cooled,
      )
      .map(({ id, name, grams }) => ({ id, name, grams, substance: 'liquid' }))
  const scents = (moment: string): WeighLine[] =>
    result.scents
      .filter((scent) => scent.moment === moment)
      .map(({ id, name, grams }) => ({ id, name, grams, substance: 'scent' }))
  /** What dispersing takes out of a fat; only one line of each fat gives it, the first in the pot. */
  const takenFor = (id: string, moment: string) => {
    const giver = result.fats.find((fat) => fat.id === id)
    if (giver?.moment !== moment) return 0
    return sumOf(result.carriers, (carrier) =>
      carrier.from === 'formula' && carrier.id === id ? carrier.grams : 0,
    )
  }
  const fats = (moment: string): WeighLine[] =>
    result.fats
      .filter((fat) => fat.moment === moment)
      .map(({ id, name, grams }) => ({
        id,
        name,
        grams: grams - takenFor(id, moment),
        substance: 'fat' as const,
      }))
      .sort(
        (a, b) =>
          firmness[library.fats.get(a.id)?.stateAt20 ?? 'liquid'] -
          firmness[library.fats.get(b.id)?.stateAt20 ?? 'liquid'],
      )

  const frozen = result.liquids.some(({ moment, way }) => moment === 'lye' && way === 'frozen')
  const milkLater = liquids('lye', true)
  const lyeLines: WeighLine[] = []
  if (lye.solution !== null)
    lyeLines.push({
      id: 'solution',
      name: 'Ready-mixed lye solution',
      substance: 'lye',
      grams: lye.solution,
    })
  if (lye.naoh > 0)
    lyeLines.push({ id: 'naoh', name: 'Sodium hydroxide', substance: 'lye', grams: lye.naoh })
  if (lye.koh > 0)
    lyeLines.push({ id: 'koh', name: 'Potassium hydroxide', substance: 'lye', grams: lye.koh })

  const carriers: WeighLine[] = result.carriers.map(({ id, name, grams }) => ({
    id: `${id}-to-disperse`,
    name,
    grams,
    substance: 'fat',
    note: 'to disperse in',
  }))
  const groups: WeighGroup[] = [
    {
      title: 'Water',
      how: frozen
        ? 'The frozen liquid in small pieces, in a jug of stainless steel, PP or HDPE that stands in cold water.'
        : 'Into a jug that stands heat: stainless steel, PP or HDPE. Dissolve what is listed with it first.',
      lines: [
        {
          id: 'water',
          name: water.ice > 0 ? 'Water, without the ice' : 'Water',
          substance: 'water' as const,
          grams: Math.max(0, water.weighed - water.ice),
        },
        { id: 'ice', name: 'Ice', substance: 'water' as const, grams: water.ice },
        ...liquids('lye'),
        ...additives('water'),
      ],
    },
    {
      title: 'Lye',
      how: frozen
        ? 'In its own dry cup. Sprinkle it on bit by bit, stirring, never above 38 °C. Yellow is normal; orange means stop.'
        : lye.solution === null
          ? 'In its own dry cup. Then lye into water, slowly, never water onto lye; stir until clear and let it cool.'
          : 'In its own dry jug, then into the water. Let it cool again.',
      lines: lyeLines,
    },
    {
      title: 'Into the cooled lye',
      how: milkLater.length
        ? 'Half-frozen, bit by bit, a quarter of an hour or more: it heats up again. Keep it under 38 °C.'
        : 'Once the lye is clear and no longer hot.',
      lines: [...milkLater, ...additives('lye', 'cooled-lye')],
    },
    {
      title: 'Fats',
      how: 'Hard ones first, melted until just clear; the liquid oils then cool them.',
      lines: [...fats('pot')],
    },
    {
      title: 'To disperse colours in',
      how: 'Stir them smooth in this oil before the lye is made.',
      lines: carriers,
    },
    {
      title: 'Into the oils',
      how: 'Before the lye goes in.',
      lines: [...liquids('oils'), ...additives('oils'), ...scents('oils')],
    },
    {
      title: 'At trace',
      how: 'Colour before scent: scent may thicken the batter.',
      lines: [...fats('trace'), ...liquids('trace'), ...additives('trace'), ...scents('trace')],
    },
  ]
  return groups
    .map((group) => ({ ...group, lines: group.lines.filter((line) => line.grams > 0) }))
    .filter((group) => group.lines.length > 0)
}
