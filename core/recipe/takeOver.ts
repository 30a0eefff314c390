import type { FormulaDocument } from '#contracts/formula'
import { molarMass, naohPerKoh } from '../chemistry/elements'
import { blankFormula } from '../formula/blank'
import { checkFormula } from '../formula/check'
import { measureOf } from '../words/typed'
import type { Library } from '../materials/library'
import { scorches } from '../water/milk'
import { usualKohPurity } from '../chemistry/alkali'
import { amounts } from './amounts'
import { sum } from '../statistics/sum'
import type { RecipeLine } from './read'
import { roundTo } from '../statistics/roundTo'

/**
 * The certain lines of a recipe as a formula that weighs what the recipe weighs, so that it can be taken over.
 * @example documentOf(recipe('450 g olive oil\n58 g lye\n128 g water'), shipped).fats
 *   // [{ id: 'olive', grams: 450, moment: 'pot', inLye: true }]
 */
export function documentOf(lines: RecipeLine[], library: Library): FormulaDocument {
  const known = amounts(lines, library)
  const { fats, of, byShare, size, naoh, koh, water, proportion } = known
  const pick = (kind: RecipeLine['kind']) => known.lines.filter((line) => line.kind === kind)
  const blank = blankFormula('Recipe to check')
  const solution = [...pick('naoh'), ...pick('lye')].find((line) => line.solution !== null)
  const purity = [...pick('naoh'), ...pick('lye')].find((line) => line.purity !== null)?.purity
  const pureAsNaoh = naoh + koh * usualKohPurity * naohPerKoh
  const stated = pick('superfat')[0]?.share ?? null
  const iceGrams = sum(pick('ice').map((line) => line.grams ?? 0))
  const plainWater = pick('water').some(({ grams }) => grams !== null) || iceGrams > 0
  const pure = naoh + koh * usualKohPurity
  /** What is in the jug besides the milk has to dissolve the lye by itself. */
  const jugged = pure === 0 || water + known.inSolution >= pure
  const document: FormulaDocument = {
    ...blank,
    size: byShare ? { by: 'oils', grams: size ?? 1000 } : { by: 'lines' },
    superfat: stated ?? blank.superfat,
    alkali: {
      ...blank.alkali,
      naohPurity: purity ?? 1,
      kohShare:
        koh > 0
          ? roundTo((koh * usualKohPurity) / molarMass.koh / (pureAsNaoh / molarMass.naoh), 9)
          : 0,
      solutionStrength: solution?.solution ?? null,
    },
    water: plainWater
      ? { held: 'grams', value: roundTo(water) }
      : proportion
        ? { held: proportion.held, value: roundTo(proportion.value, 9) }
        : blank.water,
    ...(iceGrams > 0 ? { iceGrams: roundTo(iceGrams) } : {}),
    fats: fats.map(({ line, grams }) => ({
      id: line.id!,
      ...(byShare ? { share: roundTo(line.share!, 9) } : { grams: roundTo(grams) }),
      moment: 'pot',
      inLye: true,
    })),
    liquids: pick('liquid')
      .filter((line) => of(line) > 0)
      .map((line) => {
        const liquid = library.liquids.get(line.id!)!
        const tender = scorches(liquid)
        return {
          id: line.id!,
          grams: roundTo(of(line)),
          moment: jugged ? (tender ? 'oils' : liquid.moment) : 'lye',
          way: !jugged && tender ? 'frozen' : 'poured',
        }
      }),
    additives: pick('additive')
      .filter((line) => of(line) > 0)
      .map((line) => ({
        id: line.id!,
        ...measureOf(line, library.additives.get(line.id!)?.usualRate ?? 0.01),
        carrier: null,
      })),
    scents: pick('scent')
      .filter((line) => of(line) > 0)
      .map((line) => ({
        id: line.id!,
        name: line.name.slice(0, 120),
        ...measureOf(line, 0.03),
        moment: 'trace',
      })),
  }
  if (!(pureAsNaoh > 0) || !fats.length || (byShare && size === null)) return document
  const weighedLye = (solution ? naoh / solution.solution! : naoh / (purity ?? 1)) + koh
  const checked = checkFormula(document, weighedLye, water, library)
  if ('faults' in checked) return document
  return { ...document, superfat: roundTo(checked.document.superfat ?? 0, 10) }
}
