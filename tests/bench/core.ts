import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '#core/formula/blank'
import { computeFormula } from '#core/formula/compute'
import { remarksOn } from '#core/formula/remarks/index'
import { library } from '#core/materials/library'
import { speaker } from '#core/units/say'

/* A formula of 20 lines: 14 fats, 1 milk, 3 extras, 2 scents. Medians over many rounds, after a warm-up. */

const ids = [...library.fats.keys()].slice(0, 14)
const document: FormulaDocument = {
  ...blankFormula('Twenty lines'),
  fats: ids.map((id) => ({ id, share: 1 / ids.length, moment: 'pot', inLye: true })),
  liquids: [{ id: 'goat-milk', share: 0.3, moment: 'oils', way: 'poured' }],
  additives: ['citric-acid-monohydrate', 'sodium-lactate', 'rose-clay'].map((id) => ({
    id,
    rate: 0.01,
    of: 'oils' as const,
    carrier: null,
  })),
  scents: ['fir', 'smoke'].map((id) => ({
    id,
    rate: 0.015,
    of: 'oils' as const,
    moment: 'trace' as const,
    maxOfBar: 0.03,
  })),
}
const say = speaker()

/** Median milliseconds of one call, from rounds of a hundred. */
function median(act: () => unknown, rounds = 301): number {
  for (let warm = 0; warm < 2000; warm++) act()
  const times = Array.from({ length: rounds }, () => {
    const since = performance.now()
    for (let call = 0; call < 100; call++) act()
    return (performance.now() - since) / 100
  })
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}

const figures = median(() => computeFormula(document, library))
const whole = median(() => remarksOn(document, computeFormula(document, library), library, say))
const show = (name: string, ms: number, limit: number) =>
  console.log(
    `${name.padEnd(52)} ${ms.toFixed(4)} ms   (limit ${limit} ms)  ${ms < limit ? 'within' : 'OVER'}`,
  )
show('20-line formula, figures', figures, 0.2)
show('20-line formula, figures and remarks', whole, 0.2)
