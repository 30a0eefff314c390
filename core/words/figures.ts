import { capital } from '../units/language'
import { amountOf } from './amount'
import { isLyeWord, lyeKindOf, plainWaterWords, waterWords } from '../materials/lyeWords'
import {
  asked,
  every,
  leftOut,
  listed,
  optionOf,
  plainReading,
  sayUnit,
  scentWords,
  withAmount,
  wordPegs,
  type Line,
  type LineReading,
} from './line'
import { isFiller } from './materialNames'
import { roundTo } from '../statistics/roundTo'

/* Lines that stand for a formula's own figures: superfat, lye and its strength, water, ice. They never become a line of it. */

const superfatWords = new Set([
  'superfat',
  'superfatted',
  'superfatting',
  'sf',
  'superfats',
  'overfat',
  'uberfettung',
])

const superfatFillers = new Set(
  'at of the lye discount with oils oil total level reduction is a super fat fatted in i use my'.split(
    ' ',
  ),
)

const figureWords = new Set(
  'ratio strength concentration solution conc water lye to of the is at with use my a in waters parts part'.split(
    ' ',
  ),
)

const solutionWords = new Set(
  'solution liquid masterbatch masterbatched premixed premade ready mixed made stock diluted'.split(
    ' ',
  ),
)

const lyeFillers = new Set(
  `crystals crystal flakes flake flaked beads bead pearls pearl prills prill granules granule micropearls pellets powder dry solid pure
  grade tin chemical weigh weighed amount weight needed sodium soda potassium potash natrium kalium caustic purity to in own cup its
  separate batch soaps sodio potasio soude sosa potasse kaustik caustica caustique soap making soapmaking makers makers`.split(
    /\s+/,
  ),
)

/**
 * A line about the superfat; null when it is about something else.
 * @example superfat(line('superfat 5 %')).kind // 'superfat'
 */
export function superfat(line: Line): LineReading | null {
  const { words } = line
  const text = words.join(' ')
  const says = words.some((word) => superfatWords.has(word)) || /\bsuper fat(ted)?\b/.test(text)
  const discount = /\blye (discount|reduction)\b/.test(text) || /\bdiscount lye\b/.test(text)
  if (!says && !discount) return null
  const left = words.flatMap((word, place) =>
    superfatWords.has(word) || superfatFillers.has(word) ? [] : [place],
  )
  const reading = plainReading(line, 'superfat', 'Superfat', [
    ...wordPegs(
      line,
      every(line).filter((place) => !left.includes(place)),
      'superfat',
      'superfat',
    ),
    ...wordPegs(line, left, 'left', 'what?'),
  ])
  const amount = line.main?.amount.amount
  const share =
    amount?.kind === 'share' ? amount.share : amount?.kind === 'number' ? amount.value / 100 : null
  if (left.length)
    return asked(reading, `${listed(line, left)} does not belong to a superfat.`, [leftOut(line)])
  if (line.main?.amount.doubt && line.main.amount.either) return withAmount(line, reading)
  if (share === null || share < -0.5 || share > 0.9)
    return asked(reading, 'How much superfat, in per cent?')
  return {
    ...reading,
    amount: { kind: 'share', share, of: null },
    pegs: reading.pegs.map((peg) =>
      peg.role === 'number' ? { ...peg, role: 'share', says: 'share' } : peg,
    ),
  }
}

const strengthOf = (line: Line): number | null => {
  const share = line.found.find(({ amount }) => amount.kind === 'share')?.amount
  if (share?.kind === 'share') return share.share
  const pair = line.found.find(({ amount }) => amount.kind === 'pair')?.amount
  return pair?.kind === 'pair' ? Math.min(pair.first, pair.second) : null
}

const proportioned = (
  reading: LineReading,
  held: 'ratio' | 'strength' | 'shareOfOils',
  value: number,
): LineReading => ({
  ...reading,
  kind: held === 'shareOfOils' ? 'water' : 'ratio',
  name: held === 'strength' ? 'Lye strength' : held === 'ratio' ? 'Water to lye' : 'Water',
  proportion: { held, value },
})

const lyeNames = {
  naoh: 'Sodium hydroxide',
  koh: 'Potassium hydroxide',
  lye: 'Lye',
} as const

/** Strengths that ready-mixed lye is sold and kept at. */
const usualStrengths = [0.5, 0.33, 0.3]

/**
 * A line about lye; null when it is about something else.
 * @example lye(line('136 g lye')).kind // 'lye'
 */
export function lye(line: Line): LineReading | null {
  const { words } = line
  const kind = lyeKindOf(words)
  if (!kind) return null
  const text = words.join(' ')
  const waterFirst = words.findIndex((word) => waterWords.has(word))
  const lyeAt = words.findIndex(isLyeWord)
  const masses = line.found.filter(({ amount }) => amount.kind === 'grams')
  const volumes = line.found.filter(({ amount }) => amount.kind === 'volume')
  const ratio = line.found.find(({ amount }) => amount.kind === 'ratio')?.amount
  const left = words.flatMap((word, place) =>
    isLyeWord(word) ||
    lyeFillers.has(word) ||
    solutionWords.has(word) ||
    figureWords.has(word) ||
    isFiller(word) ||
    waterWords.has(word)
      ? []
      : [place],
  )
  const pegs = [
    ...wordPegs(
      line,
      every(line).filter((place) => !left.includes(place)),
      kind,
      'lye',
    ),
    ...wordPegs(line, left, 'left', 'not lye'),
  ]
  const reading = plainReading(line, kind, lyeNames[kind], pegs)

  // "190 g water for the lye" is water.
  if (
    waterFirst >= 0 &&
    waterFirst < lyeAt &&
    /\b(for|to dissolve|to mix|with)\b/.test(text) &&
    !ratio &&
    !strengthOf(line)
  )
    return withAmount(line, {
      ...plainReading(line, 'water', 'Water', wordPegs(line, every(line), 'water', 'liquid')),
    })
  if (left.length) {
    const scented = left.some((place) => scentWords.has(words[place]!))
    return asked(
      reading,
      scented
        ? `A word for lye stands beside ${listed(line, left)}: lye is never a scent.`
        : `${listed(line, left)} is a word too many for lye.`,
      [leftOut(line)],
    )
  }
  if (ratio?.kind === 'ratio') return proportioned(reading, 'ratio', ratio.ratio)
  const strength = strengthOf(line)
  const figure = /\b(strength|concentration|conc)\b/.test(text)
  const bare = line.found.find(({ amount }) => amount.kind === 'number')
  if (masses.length === 0 && volumes.length === 0 && !bare && strength !== null) {
    if (strength >= 0.15 && strength <= 0.55) return proportioned(reading, 'strength', strength)
    return asked(
      reading,
      figure
        ? 'Lye strength lies between 15 and 55 %.'
        : `Is ${sayUnit({ kind: 'share', share: strength, of: null })} the lye’s strength, or its weight in per cent of the oils? Give its grams, or a strength between 15 and 55 %.`,
      [leftOut(line)],
    )
  }
  const { main } = line
  if (volumes.length)
    return asked(
      reading,
      'Lye is weighed, never measured by spoon or cup: a cup of flakes may be 200 g or 300 g. Find its weight.',
    )
  if (main?.amount.amount.kind === 'rate' || main?.amount.amount.kind === 'some')
    return asked(reading, 'Lye follows from the fats, not from a rate. Find its weight.')
  const grams = masses.length ? amountOf(masses)! : null
  const dissolved =
    words.some((word) => solutionWords.has(word)) ||
    /\blye water\b/.test(text) ||
    (strength !== null && strength <= 0.55)
  const weight: LineReading = {
    ...reading,
    amount: grams?.amount.amount ?? bare?.amount ?? reading.amount,
  }
  /** The line with its weight settled: by what it says, or asked about where a number has no unit. */
  const weighedAs = (lye: LineReading): LineReading =>
    bare && !grams
      ? withAmount({ ...line, main: { amount: bare, conflict: false } }, lye)
      : withAmount(line, lye)
  if (grams?.conflict)
    return asked(weight, 'Two amounts of lye stand in this line, and they are not the same.')
  if (dissolved) {
    if (strength === null) {
      const marked = every(line).filter(
        (place) => solutionWords.has(words[place]!) || waterWords.has(words[place]!),
      )
      const said = every(line).filter((place) => !marked.includes(place))
      const loose = plainReading(line, kind, lyeNames[kind], [
        ...wordPegs(line, said, kind, 'lye'),
        ...wordPegs(line, marked, 'left', 'how strong?'),
      ])
      const much = weight.amount?.kind === 'grams' ? weight.amount.grams : null
      return asked(
        { ...loose, amount: weight.amount },
        'How strong is the solution? Its label says.',
        usualStrengths.map((one) => ({
          ...optionOf(
            weighedAs({ ...weight, solution: one, name: `Lye solution, ${one * 100} %` }),
            much === null ? '' : `${roundTo(much * one, 1)} g of lye`,
          ),
          name: `${one * 100} %`,
        })),
      )
    }
    if (strength < 0.1 || strength > 0.55)
      return asked(weight, 'A lye solution holds between 10 and 55 % of lye.')
    return weighedAs({
      ...weight,
      solution: strength,
      name: `Lye solution, ${roundTo(strength * 100, 2)} %`,
    })
  }
  if (strength !== null) {
    if (strength < 0.8)
      return asked(weight, 'Is that the strength of a solution, or how pure the flakes are?', [
        leftOut(line),
      ])
    return weighedAs({ ...weight, purity: Math.min(1, strength) })
  }
  if (!main) return asked(weight, 'How much lye? Give its weight.')
  return weighedAs(weight)
}

const sodaWords = new Set(['soda', 'soude', 'sosa', 'alkali'])

/**
 * "soda" or "potash" alone: three white powders go by that name, and only one is lye.
 * @example bareSoda(line('30 g soda')).says // 'Caustic soda is lye; washing soda and baking soda are not. What does the label say?'
 */
export function bareSoda(line: Line): LineReading | null {
  const { words } = line
  const soda = words.some((word) => sodaWords.has(word))
  const potash = words.includes('potash')
  if (!soda && !potash) return null
  if (words.some((word) => scentWords.has(word))) return null
  const kind = potash ? 'koh' : 'naoh'
  const reading = plainReading(
    line,
    'lye',
    capital(words.join(' ')),
    wordPegs(line, every(line), 'left', 'which?'),
  )
  const only = words.every((word) => sodaWords.has(word) || word === 'potash' || isFiller(word))
  if (!only)
    return asked(reading, `${capital(words.join(' '))} is no name for lye that Mantle knows.`, [
      leftOut(line),
    ])
  return asked(
    reading,
    potash
      ? 'Potash may be potassium hydroxide, which is lye, or potassium carbonate, which is not. What does the label say?'
      : 'Caustic soda is lye; washing soda and baking soda are not. What does the label say?',
    [
      optionOf(
        withAmount(
          line,
          plainReading(line, kind, lyeNames[kind], wordPegs(line, every(line), kind, 'lye')),
        ),
        'lye',
      ),
      leftOut(line),
    ],
  )
}

/**
 * "ratio 2:1", "33 % concentration": how strong the lye is, without a word for lye.
 * @example figure(line('ratio 2:1')).kind // 'ratio'
 */
export function figure(line: Line): LineReading | null {
  const { words } = line
  const ratio = line.found.find(({ amount }) => amount.kind === 'ratio')?.amount
  const strength = strengthOf(line)
  if (!words.length || !words.every((word) => figureWords.has(word) || isFiller(word))) return null
  const reading = plainReading(
    line,
    'ratio',
    'Water to lye',
    wordPegs(line, every(line), 'ratio', 'lye strength'),
  )
  if (ratio?.kind === 'ratio' && words.some((word) => word === 'ratio' || waterWords.has(word)))
    return proportioned(reading, 'ratio', ratio.ratio)
  if (
    strength !== null &&
    words.some((word) => ['strength', 'concentration', 'conc'].includes(word))
  )
    return strength >= 0.15 && strength <= 0.55
      ? proportioned(reading, 'strength', strength)
      : asked(reading, 'Lye strength lies between 15 and 55 %.')
  return null
}

/**
 * A line about water; null when it is about something else.
 * @example water(line('300 g water')).kind // 'water'
 */
export function water(line: Line): LineReading | null {
  const { words } = line
  if (!words.some((word) => waterWords.has(word))) return null
  if (words.includes('discount') || words.includes('reduction'))
    return asked(
      plainReading(
        line,
        'unknown',
        'Water discount',
        wordPegs(line, every(line), 'left', 'from what?'),
      ),
      'A discount from what? Makers mean different full waters. Say the water itself: as 2.2 : 1, 33 % lye, or 30 % of the oils.',
      [leftOut(line)],
    )
  const left = words.flatMap((word, place) =>
    waterWords.has(word) || plainWaterWords.has(word) || isFiller(word) || word === 'as'
      ? []
      : [place],
  )
  if (left.length) return null
  const reading = plainReading(
    line,
    'water',
    'Water',
    wordPegs(line, every(line), 'water', 'liquid'),
  )
  const amount = line.main?.amount.amount
  if (amount?.kind === 'ratio') return proportioned(reading, 'ratio', amount.ratio)
  if (amount?.kind === 'pair') return proportioned(reading, 'strength', amount.second)
  if (amount?.kind === 'share') {
    if (amount.share < 0.1 || amount.share > 1)
      return asked(reading, 'Water in per cent of the oils lies between 10 and 100 %.')
    return proportioned(reading, 'shareOfOils', amount.share)
  }
  if (!amount) return asked(reading, 'How much water?')
  return withAmount(line, reading)
}

/**
 * A line about ice; null when it is about something else.
 * @example ice(line('100 g ice')).kind // 'ice'
 */
export function ice(line: Line): LineReading | null {
  const { words } = line
  if (!words.some((word) => word === 'ice' || word === 'icecubes')) return null
  const fit = new Set(['ice', 'icecubes', 'cubes', 'cube', 'crushed', 'cubed', 'water'])
  if (!words.every((word) => fit.has(word) || isFiller(word))) return null
  const reading = plainReading(line, 'ice', 'Ice', wordPegs(line, every(line), 'ice', 'ice'))
  const amount = line.main?.amount.amount
  if (!amount) return asked(reading, 'How much ice?')
  if (amount.kind === 'share' && (amount.share < 0 || amount.share > 1))
    return asked(reading, 'Ice is a share of the water, up to 100 %.')
  return withAmount(line, reading)
}
