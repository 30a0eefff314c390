import type { AmountBase, AmountUnit, SpoonKind } from '#contracts/words'
import {
  gramsOfBase,
  gramsPer,
  isAmountUnit,
  millilitresPer,
  spoonMillilitres,
  type MassUnit,
  type VolumeUnit,
} from '../units/measures'
import type { Range, Token } from '../materials/tokens'

/** An amount as somebody wrote it. Masses in grams, shares as fractions. */
export type Amount =
  | { kind: 'grams'; grams: number; unit: MassUnit }
  | { kind: 'volume'; millilitres: number; value: number; unit: VolumeUnit }
  | { kind: 'share'; share: number; of: 'oils' | 'batter' | null }
  /** So much for so much of the oils. */
  | { kind: 'rate'; value: number; unit: AmountUnit; per: AmountBase }
  /** Water to lye, or lye to water: the larger of the two over the smaller. */
  | { kind: 'ratio'; ratio: number }
  /** Two parts of a hundred, as 30/70. */
  | { kind: 'pair'; first: number; second: number }
  /** A number nobody gave a unit. */
  | { kind: 'number'; value: number }
  /** Some drops or spoons, and nobody knows how many. */
  | { kind: 'some'; unit: VolumeUnit }
  /** A temperature, a time or a length: nothing that is weighed. */
  | { kind: 'other' }

export type AmountRole = 'weight' | 'spoon' | 'share' | 'rate' | 'ratio' | 'number' | 'other'

export interface FoundAmount extends Range {
  amount: Amount
  role: AmountRole
  /** First and last token of it. */
  from: number
  to: number
  /** Where the words "per …" begin, when it has them. */
  rateFrom?: number
  /** Why it cannot be trusted as it is: a range, a thousand that may be a decimal. */
  doubt?: string
  /** What it may be instead. */
  either?: Amount[]
}

const massUnits: Record<string, MassUnit> = {}
const volumeUnits: Record<string, VolumeUnit> = {}
const learn = <T>(into: Record<string, T>, unit: T, words: string) => {
  for (const word of words.split(' ')) into[word] = unit
}
learn(massUnits, 'g', 'g gr gm gms gram grams gramm gramme grammes')
learn(massUnits, 'kg', 'kg kgs kilo kilos kilogram kilograms kilogramme kilogrammes')
learn(massUnits, 'oz', 'oz ozs ounce ounces')
learn(massUnits, 'lb', 'lb lbs pound pounds')
learn(volumeUnits, 'ml', 'ml mls millilitre millilitres milliliter milliliters cc')
learn(volumeUnits, 'l', 'l ltr litre litres liter liters')
learn(volumeUnits, 'tsp', 'tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls')
learn(volumeUnits, 'tbsp', 'tbsp tbsps tbs tablespoon tablespoons tablespoonful tablespoonfuls')
learn(volumeUnits, 'cup', 'cup cups')
learn(volumeUnits, 'drop', 'drop drops')
learn(volumeUnits, 'floz', 'floz')
const percentWords = new Set(['percent', 'pct', 'prozent'])
const otherUnits = new Set(
  'c f celsius fahrenheit degree degrees deg min mins minute minutes hour hours hr hrs h day days week weeks month months sec second seconds cm mm inch inches in x times bars bar pieces'.split(
    ' ',
  ),
)
const oilWords = new Set(['oil', 'oils', 'fat', 'fats', 'oilweight'])
const someWords = new Set([
  'few',
  'some',
  'couple',
  'several',
  'pinch',
  'dash',
  'splash',
  'handful',
])

/**
 * Every amount of a line with its place. Two masses that follow each other (2 lb 3 oz) are one.
 * @example amountsIn(line('2 lb 3 oz olive').tokens, 'us')[0].amount // { kind: 'grams', grams: 992.233, unit: 'lb' }
 */
export function amountsIn(tokens: Token[], spoons: SpoonKind): FoundAmount[] {
  const found: FoundAmount[] = []
  const at = (index: number) => tokens[index]
  const word = (index: number) => (at(index)?.kind === 'word' ? at(index)!.text : '')
  const sign = (index: number) => (at(index)?.kind === 'sign' ? at(index)!.text : '')
  const skipDots = (index: number) => (sign(index) === '.' ? index + 1 : index)

  /** The unit that begins at a token, and the token after it. */
  function unitAt(index: number): { mass?: MassUnit; volume?: VolumeUnit; next: number } | null {
    const text = word(index)
    if (!text) return null
    if ((text === 'fl' || text === 'fluid') && massUnits[word(skipDots(index + 1))] === 'oz')
      return { volume: 'floz', next: skipDots(skipDots(index + 1) + 1) }
    if (massUnits[text]) return { mass: massUnits[text], next: skipDots(index + 1) }
    if (volumeUnits[text]) return { volume: volumeUnits[text], next: skipDots(index + 1) }
    return null
  }

  /** "per 500 g of oils", "/lb", "ppo", "for each kilo": g of oils that an amount is for, and the token after it. */
  function baseAt(index: number): { grams: number; next: number } | null {
    if (word(index) === 'ppo' || word(index) === 'pp')
      return { grams: gramsPer.lb, next: index + 1 }
    let next = index
    if (sign(next) === '/') next++
    else if (word(next) === 'per' || word(next) === 'pro') next++
    else if (
      (word(next) === 'for' || word(next) === 'to' || word(next) === 'in') &&
      (word(next + 1) === 'each' || word(next + 1) === 'every')
    )
      next += 2
    else if (word(next) === 'each' || word(next) === 'every') next++
    else return null
    let count = 1
    if (at(next)?.kind === 'number') {
      count = at(next)!.value
      next++
    }
    const unit = unitAt(next)
    if (!unit?.mass || !(count > 0)) return null
    next = unit.next
    let end = next
    while (['of', 'the', 'total', 'base', 'soap', 'soapmaking'].includes(word(end))) end++
    if (oilWords.has(word(end))) next = word(end + 1) === 'weight' ? end + 2 : end + 1
    return { grams: count * gramsPer[unit.mass], next }
  }

  /** A rate for any weight of oils, said for one of the four that a document knows. */
  function rateOf(
    value: number,
    unit: { mass?: MassUnit; volume?: VolumeUnit },
    grams: number,
  ): Amount {
    const bases = Object.keys(gramsOfBase) as AmountBase[]
    const known = bases.find((base) => Math.abs(gramsOfBase[base] - grams) < 1e-6)
    const per = known ?? (grams % 1 === 0 ? 'kg' : 'lb')
    const scaled = Number(((value * gramsOfBase[per]) / grams).toPrecision(12))
    if (unit.mass)
      return unit.mass === 'oz'
        ? { kind: 'rate', value: scaled, unit: 'oz', per }
        : { kind: 'rate', value: scaled * gramsPer[unit.mass], unit: 'g', per }
    const volume = unit.volume!
    if (isAmountUnit(volume)) return { kind: 'rate', value: scaled, unit: volume, per }
    return { kind: 'rate', value: scaled * millilitresOf(volume, spoons), unit: 'ml', per }
  }

  for (let index = 0; index < tokens.length; index++) {
    const token = at(index)!
    const push = (
      amount: Amount,
      role: AmountRole,
      next: number,
      more: Partial<FoundAmount> = {},
    ) => {
      found.push({
        amount,
        role,
        from: index,
        to: next - 1,
        start: token.start,
        end: at(next - 1)!.end,
        ...more,
      })
      index = next - 1
    }
    if (token.kind === 'word' && (someWords.has(token.text) || token.text === 'a')) {
      // "a few drops", "some drops", "a teaspoon", "a cup of"
      let next = token.text === 'a' ? index + 1 : index
      const vague = someWords.has(word(next))
      if (vague) next++
      if (word(next) === 'of') next++
      const unit = unitAt(next)
      if (vague && unit?.volume) push({ kind: 'some', unit: unit.volume }, 'number', unit.next)
      else if (vague && ['pinch', 'dash', 'splash', 'handful'].includes(word(next - 1)))
        push({ kind: 'some', unit: 'tsp' }, 'number', next)
      else if (!vague && unit?.volume && token.text === 'a')
        push(volumeAmount(1, unit.volume, spoons), 'spoon', unit.next)
      else if (vague) push({ kind: 'some', unit: 'tsp' }, 'number', next)
      continue
    }
    // "1 tsp rose clay per kg of oils": the rate stands behind the name.
    const behind = token.kind === 'number' ? null : baseAt(index)
    const before = found.at(-1)
    const again =
      behind &&
      before?.amount.kind === 'grams' &&
      Math.abs(before.amount.grams - behind.grams) <= behind.grams * 0.03
    if (again) continue
    if (behind && before && !before.doubt) {
      const { amount } = before
      if (amount.kind === 'grams')
        before.amount = rateOf(
          amount.grams / gramsPer[amount.unit],
          { mass: amount.unit },
          behind.grams,
        )
      else if (amount.kind === 'volume')
        before.amount = rateOf(amount.value, { volume: amount.unit }, behind.grams)
      else continue
      push({ kind: 'other' }, 'rate', behind.next)
      continue
    }
    if (token.kind !== 'number') continue

    let { value } = token
    let next = index + 1
    // 1/2 and 1 1/2 are fractions; 30/70 is a pair of a hundred, 2/1 a ratio.
    if (sign(next) === '/' && at(next + 1)?.kind === 'number') {
      const second = at(next + 1)!.value
      const after = next + 2
      const small = value < second && second <= 16 && Number.isInteger(value)
      if (small && (unitAt(after) || value + second !== 100)) {
        value /= second
        next = after
      } else if (Math.abs(value + second - 100) < 1e-9) {
        push({ kind: 'pair', first: value / 100, second: second / 100 }, 'ratio', after)
        continue
      }
    } else if (
      at(next)?.kind === 'number' &&
      sign(next + 1) === '/' &&
      at(next + 2)?.kind === 'number' &&
      at(next)!.value < at(next + 2)!.value
    ) {
      value += at(next)!.value / at(next + 2)!.value
      next += 3
    }
    if (sign(next) === ':' && at(next + 1)?.kind === 'number') {
      const second = at(next + 1)!.value
      const sum = value + second
      if (Math.abs(sum - 100) < 1e-9)
        push({ kind: 'pair', first: value / 100, second: second / 100 }, 'ratio', next + 2)
      else
        push(
          { kind: 'ratio', ratio: Math.max(value, second) / Math.min(value, second) },
          'ratio',
          next + 2,
        )
      continue
    }
    if (
      word(next) === 'to' &&
      at(next + 1)?.kind === 'number' &&
      at(next + 1)!.value === 1 &&
      !unitAt(next + 2)
    ) {
      push({ kind: 'ratio', ratio: value }, 'ratio', next + 2)
      continue
    }
    // 20-25 g, 20 to 25 g: which of them?
    let upper: number | null = null
    if (
      (['-', '–', '—'].includes(sign(next)) || word(next) === 'to') &&
      at(next + 1)?.kind === 'number'
    ) {
      upper = at(next + 1)!.value
      next += 2
    }
    const negative =
      sign(index - 1) === '-' &&
      (index < 2 || at(index - 2)!.kind !== 'number') &&
      at(index - 1)!.end === token.start &&
      (index < 2 || at(index - 2)!.end < at(index - 1)!.start)
    if (negative) value = -value
    const ranged = (of: (value: number) => Amount): Partial<FoundAmount> =>
      upper === null ? {} : { doubt: 'Two figures: which of them?', either: [of(value), of(upper)] }

    if (
      sign(next) === '%' ||
      percentWords.has(word(next)) ||
      (word(next) === 'per' && word(next + 1) === 'cent')
    ) {
      let after = word(next) === 'per' ? next + 2 : next + 1
      let of: 'oils' | 'batter' | null = null
      let look = after
      if (word(look) === 'of' || word(look) === 'on') look++
      while (['the', 'total', 'my', 'all', 'base'].includes(word(look))) look++
      if (oilWords.has(word(look)) && look > after) {
        of = 'oils'
        after = word(look + 1) === 'weight' ? look + 2 : look + 1
      } else if (word(look) === 'batter' && look > after) {
        of = 'batter'
        after = look + 1
      }
      const share = (number: number): Amount => ({ kind: 'share', share: number / 100, of })
      push(share(value), 'share', after, ranged(share))
      continue
    }
    if (sign(next) === '°' || otherUnits.has(word(next))) {
      // "c" and "in" after a number are only a temperature or a length where nothing else follows that could be a name.
      const bare = word(next)
      if (bare !== 'in' && bare !== 'x') {
        push({ kind: 'other' }, 'other', sign(next) === '°' && word(next + 1) ? next + 2 : next + 1)
        continue
      }
    }
    const unit = unitAt(next)
    if (!unit) {
      const number = (bare: number): Amount => ({ kind: 'number', value: bare })
      push(number(value), 'number', next, ranged(number))
      continue
    }
    next = unit.next
    const base = baseAt(next)
    // "4.8 oz / 136 g" is one weight in two units, and no rate.
    const twin =
      base && unit.mass && Math.abs(value * gramsPer[unit.mass] - base.grams) <= base.grams * 0.03
    if (base && !twin) {
      const rate = (number: number) => rateOf(number, unit, base.grams)
      push(rate(value), unit.mass ? 'weight' : 'spoon', base.next, {
        rateFrom: next,
        ...ranged(rate),
      })
      continue
    }
    if (unit.mass === 'lb') {
      // 2 lb 3 oz
      const join = word(next) === 'and' ? next + 1 : next
      const ounces = at(join)?.kind === 'number' ? unitAt(join + 1) : null
      if (ounces?.mass === 'oz') {
        push(
          {
            kind: 'grams',
            grams: value * gramsPer.lb + at(join)!.value * gramsPer.oz,
            unit: 'lb',
          },
          'weight',
          ounces.next,
        )
        continue
      }
    }
    const one = (number: number): Amount =>
      unit.mass
        ? { kind: 'grams', grams: number * gramsPer[unit.mass], unit: unit.mass }
        : volumeAmount(number, unit.volume!, spoons)
    const role = unit.mass ? 'weight' : 'spoon'
    const thousand =
      /^\d{1,3}\.\d{3}$/.test(token.raw) &&
      (unit.mass === 'g' || unit.volume === 'ml') &&
      value >= 1
    push(one(value), role, next, {
      ...ranged(one),
      ...(thousand
        ? {
            doubt: 'A point before three digits: a thousand, or a decimal?',
            either: [one(value * 1000), one(value)],
          }
        : {}),
    })
  }
  return found
}

const millilitresOf = (unit: VolumeUnit, spoons: SpoonKind) =>
  unit === 'tsp' || unit === 'tbsp' || unit === 'cup'
    ? spoonMillilitres[spoons][unit]
    : millilitresPer[unit]

function volumeAmount(value: number, unit: VolumeUnit, spoons: SpoonKind): Amount {
  return { kind: 'volume', value, unit, millilitres: value * millilitresOf(unit, spoons) }
}

/**
 * The one amount a line gives. A line that gives the same weight twice (`1 lb (454 g)`) means the finer one; a share beside
 * a weight is only said along.
 * @returns null when there is none; `conflict` when two of them cannot both be meant
 * @example amountOf(line('1 lb (454 g) olive').found).amount.amount // { kind: 'grams', grams: 454, unit: 'g' }
 */
export function amountOf(found: FoundAmount[]): { amount: FoundAmount; conflict: boolean } | null {
  const real = found.filter(({ amount }) => amount.kind !== 'other')
  const masses = real.filter(({ amount }) => amount.kind === 'grams')
  const [first] = real
  if (!first) return null
  if (masses.length > 1) {
    const grams = masses.map(({ amount }) => (amount.kind === 'grams' ? amount.grams : 0))
    const conflict = Math.max(...grams) - Math.min(...grams) > 0.02 * Math.max(...grams) + 1
    const metric = masses.find(
      ({ amount }) => amount.kind === 'grams' && (amount.unit === 'g' || amount.unit === 'kg'),
    )
    return { amount: metric ?? masses[0]!, conflict }
  }
  const [mass] = masses
  if (mass) {
    const others = real.filter((one) => one !== mass)
    const conflict = others.some(({ amount }) => amount.kind === 'rate' || amount.kind === 'number')
    return { amount: mass, conflict }
  }
  return {
    amount: first,
    conflict:
      real.length > 1 &&
      !real.every(
        ({ amount }) =>
          amount.kind === first.amount.kind &&
          JSON.stringify(amount) === JSON.stringify(first.amount),
      ),
  }
}
