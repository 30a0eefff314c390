import type { Batch } from '#contracts/batch'
import type { BatterStage } from '#contracts/benchWords'
import { madeOf } from '#core/rack/facts'
import { standingEvents } from '#core/units/standingEvents'
import { madeAsPlanned } from '#core/rack/wrong'
import type { Formatter } from '#core/units/formatter'

const stageNames: Record<BatterStage, string> = {
  cloudy: 'cloudy',
  emulsion: 'emulsion',
  light: 'light trace',
  medium: 'medium trace',
  thick: 'thick trace',
  'too-far': 'too far',
}

export interface MadeRow {
  says: string
  planned: string
  /** A dash where nobody measured. */
  made: string
}
const unknown = '–'

/** What a batch is by its formula as frozen, and by what was weighed, measured and done. */
export function madeRows(batch: Batch, say: Formatter): MadeRow[] {
  const events = standingEvents(batch.events)
  const pour = events.findLast((event) => event.kind === 'poured')
  const cut = events.findLast((event) => event.kind === 'cut')
  const gels = events.flatMap((event) => (event.kind === 'gelled' ? [event.gel] : []))
  const plan = madeAsPlanned(batch.frozen)
  const made = madeOf(batch.frozen, events)
  const { method, parts } = batch.frozen.document
  const bench = pour?.bench
  const degrees = (value: number | null | undefined) =>
    value == null ? unknown : say.temperature(value)
  const ofMade = (words: (one: typeof plan) => string) => ({
    planned: words(plan),
    made: made ? words(made) : unknown,
  })
  const gelOf = (pot: number | null) =>
    pot === null ? '' : `${parts[pot]?.name ?? `pot ${pot + 1}`}: `
  return [
    { says: 'Superfat', ...ofMade(({ superfat }) => say.percent(superfat)) },
    { says: 'Water to lye', ...ofMade(({ ratio }) => say.ratio(ratio)) },
    { says: 'Lye strength', ...ofMade(({ strength }) => say.percent(strength, 0)) },
    { says: 'Oils', ...ofMade(({ oils }) => say.amount(oils)) },
    {
      says: 'Lye and oils met at',
      planned: `${degrees(method.lyeC)}, ${degrees(method.oilsC)}`,
      made: bench ? `${degrees(bench.lyeC)}, ${degrees(bench.oilsC)}` : unknown,
    },
    { says: 'Poured at', planned: unknown, made: bench?.stage ? stageNames[bench.stage] : unknown },
    {
      says: 'From lye to pour',
      planned: unknown,
      made:
        bench?.minutes == null
          ? unknown
          : `${Math.round(bench.minutes)} min, blended ${bench.blenderSeconds} s`,
    },
    {
      says: 'Gel',
      planned: { leave: 'as it comes', force: 'forced', prevent: 'prevented' }[method.gel],
      made: gels.length
        ? say.list(
            events.flatMap((event) =>
              event.kind === 'gelled' ? [`${gelOf(event.pot)}${event.gel}`] : [],
            ),
          )
        : unknown,
    },
    {
      says: 'Bars',
      planned: String(batch.bars),
      made: cut ? `${cut.bars}${cut.grams ? ` of ${say.mass(cut.grams)}` : ''}` : unknown,
    },
  ]
}
