import type { FattyAcid } from '#contracts/result'
import type { Use } from '#contracts/words'
import { substanceLends, traitRules } from './coefficients'
import { traitIds } from './traits'
import { usualRegions } from './regions'

const columns: [heading: string, acid: FattyAcid][] = [
  ['8', 'caprylic'],
  ['10', 'capric'],
  ['12', 'lauric'],
  ['14', 'myristic'],
  ['16', 'palmitic'],
  ['18', 'stearic'],
  ['20–24', 'behenic'],
  ['16:1', 'palmitoleic'],
  ['18:1', 'oleic'],
  ['20:1, 22:1', 'gondoic'],
  ['18:2', 'linoleic'],
  ['18:3', 'linolenic'],
  ['ricinoleic', 'ricinoleic'],
]
const row = (cells: (string | number)[]) => `| ${cells.join(' | ')} |`
const rule = (count: number) => row(['---', ...new Array<string>(count - 1).fill('---:')])

/**
 * The coefficients as the documentation shows them: one source for both.
 * @example coefficientTable().startsWith('| per cent of | ') // true
 */
export function coefficientTable(): string {
  const heads = [
    'per cent of',
    ...columns.map(([heading]) => heading),
    'superfat',
    'undissolved',
    'less water',
    'potash',
    'constant',
  ]
  const rows = traitIds.map((trait) => {
    const { says, acids, superfat, constant, ricinoleicUpTo, keeper, ...more } = traitRules[trait]
    return row([
      says,
      ...columns.map(([, acid]) =>
        acid === 'ricinoleic' && ricinoleicUpTo !== null
          ? `${acids[acid]} up to ${ricinoleicUpTo}`
          : acids[acid],
      ),
      superfat,
      more.undissolved,
      more.lessWaterOleic ? `${more.lessWater}, +${more.lessWaterOleic} by 18:1` : more.lessWater,
      more.potash,
      keeper ? `${constant}, +${keeper} kept` : constant,
    ])
  })
  return [row(heads), rule(heads.length), ...rows].join('\n')
}

/**
 * The usual regions of every use as the documentation shows them.
 * @example regionTable().startsWith('| use | ') // true
 */
export function regionTable(): string {
  const heads = ['use', ...traitIds.map((trait) => traitRules[trait].says)]
  const rows = (Object.keys(usualRegions) as Use[]).map((use) =>
    row([use, ...traitIds.map((trait) => usualRegions[use][trait].join(' to '))]),
  )
  return [row(heads), rule(heads.length), ...rows].join('\n')
}

/**
 * What waxes, resins and tar lend, as the documentation shows it.
 * @example substanceTable().startsWith('| per cent of | ') // true
 */
export function substanceTable(): string {
  const heads = ['per cent of', ...traitIds.map((trait) => traitRules[trait].says)]
  const rows = substances.map(([says, lends]) =>
    row([says, ...traitIds.map((trait) => lends[trait] ?? 0)]),
  )
  return [row(heads), rule(heads.length), ...rows].join('\n')
}
const substances = [
  ['hard wax (beeswax, candelilla, carnauba)', substanceLends['wax-ester'].hard],
  ['wool fat', substanceLends['wax-ester'].soft],
  ['liquid wax (jojoba)', substanceLends['wax-ester'].liquid],
  ['rosin', substanceLends.rosin.hard],
  ['tar', substanceLends.rosin.soft],
] as const
