import { happened } from '#core/events/index'
import { howBad } from '#core/events/trouble'
import { gelWords } from '#core/events/gelled'
import { patternsOf } from '#core/formula/method'
import type { Batch } from '#contracts/batch'
import { frozenLibrary } from '#core/formula/frozen'
import { standingEvents } from '#core/units/standingEvents'
import { troubleKinds } from '#core/troubles/kinds'
import { daysBetween } from '#core/units/days'
import type { Formatter } from '#core/units/formatter'
import { inSentence } from '#core/units/language'

export interface HelpPart {
  title: string
  lines: string[]
}

/**
 * Everything that another maker needs to judge a batch: with a photograph people post the oils and leave out the three things
 * that matter, lye strength, temperatures and what was done. What nobody wrote down is said too.
 * @param room humidity of the room, 0–1
 */
export function helpSheet(batch: Batch, say: Formatter, today: string, room: number): HelpPart[] {
  const { document, result } = batch.frozen
  const library = frozenLibrary(batch.frozen)
  const events = standingEvents(batch.events)
  const rows = madeRows(batch, say)
  const pouredOn = batch.facts.pouredOn
  const dayOf = (day: string) => (pouredOn ? `day ${daysBetween(pouredOn, day)}` : day)
  const { alkali, method } = document
  const lye = [
    result.lye.solution === null
      ? `sodium hydroxide ${say.mass(result.lye.naoh)}, taken as ${say.percent(alkali.naohPurity, 1)} pure`
      : `ready-mixed lye ${say.mass(result.lye.solution)} of ${say.percent(alkali.solutionStrength ?? 0, 1)}`,
    ...(result.lye.koh ? [`potassium hydroxide ${say.mass(result.lye.koh)}`] : []),
  ]
  const shown = events.filter(
    (event) => !['weighed', 'turned', 'out', 'placed', 'poured', 'pictured'].includes(event.kind),
  )
  const weighed = events.flatMap((event) => (event.kind === 'weighed' ? [event] : []))
  const poured = events.findLast((event) => event.kind === 'poured')
  const bench = poured?.bench
  const gelOf = (pot: number) =>
    events.flatMap((event) => (event.kind === 'gelled' && event.pot === pot ? [event.gel] : []))
  const tool = bench?.tool ?? method.tool
  const pots = document.parts.map(({ name }, pot) => {
    const made = bench?.pots?.[pot]
    const ratio = made?.ratio ?? result.parts[pot]?.result.water.ratio
    const gel = gelOf(pot).at(-1)
    return say.list([
      `${name}: water ${ratio === undefined ? 'not known' : say.ratio(ratio)}${made ? ' as weighed' : ' as planned'}`,
      ...(made ? [`superfat ${say.percent(made.superfat, 1)}`] : []),
      ...(made?.watered ? [`${say.mass(made.watered)} of warm water stirred in`] : []),
      `lye at ${made?.lyeC == null ? 'not known' : say.temperature(made.lyeC)} when it met the oils`,
      `gel ${gel ? gelWords[gel] : 'not known'}`,
    ])
  })
  const missing = [
    ...(bench?.assumed?.length
      ? [`What these weighed, taken as planned: ${say.list(bench.assumed.map(inSentence))}.`]
      : []),
    ...(bench && bench.lyeC === null ? ['The temperature of the lye when it met the oils.'] : []),
    ...(bench && bench.oilsC === null ? ['The temperature of the oils then.'] : []),
    ...(poured && !poured.pouredAt ? ['The hour of the pour.'] : []),
    ...(rows.some((row) => row.says === 'Superfat' && row.made === '–')
      ? ['What the scale really said: the figures are those of the plan.']
      : []),
    ...(rows.some((row) => row.says === 'Lye and oils met at' && row.made === '–')
      ? ['The temperatures when lye and oils met.']
      : []),
    ...(rows.some((row) => row.says === 'Poured at' && row.made === '–')
      ? ['How thick it was poured, and how long it was blended.']
      : []),
    ...(events.some(({ kind }) => kind === 'gelled') ? [] : ['Whether it gelled.']),
    ...(events.some(({ kind }) => kind === 'strip') ? [] : ['A strip: nobody tested it.']),
    ...(batch.facts.cutOn && !weighed.length ? ['Weigh-ins.'] : []),
  ]
  return [
    {
      title: 'Trouble',
      lines: batch.facts.troubles.map(
        ({ trouble, how }) =>
          `${troubleKinds[trouble].says}, ${howBad[how]} (${troubleKinds[trouble].looks})`,
      ),
    },
    {
      title: 'Fats',
      lines: result.fats.map(
        (fat) =>
          `${fat.name}: ${say.percent(fat.share)}, ${say.mass(fat.grams)} (saponification value ${fat.sap})`,
      ),
    },
    {
      title: 'Lye and water',
      lines: [
        ...lye,
        `water ${say.mass(result.water.content)} in all`,
        ...result.liquids.map(
          ({ name, grams }) => `of that as ${inSentence(name)} ${say.mass(grams)}`,
        ),
      ],
    },
    {
      title: 'Extras and scent',
      lines: [...result.additives, ...result.scents].map(
        ({ name, grams }) =>
          `${name} ${say.mass(grams)}, ${say.percent(result.oils ? grams / result.oils : 0)} of the oils`,
      ),
    },
    {
      title: 'As made',
      lines: rows.map((row) =>
        say.list([
          `${row.says}: ${row.made === '–' ? 'not recorded' : row.made}`,
          ...(row.planned === '–' || row.planned === row.made ? [] : [`planned ${row.planned}`]),
        ]),
      ),
    },
    {
      title: 'How',
      lines: [
        `${{ blender: 'With a blender', whisk: 'By hand, with a whisk', spoon: 'By hand, with a spoon' }[tool]}, ${say.count(Math.max(1, document.parts.length), 'pot', 'pots')}, poured ${say.list(
          patternsOf(document).map((pattern) => pattern.replaceAll('-', ' ')),
          'and',
        )}`,
        ...(bench?.watered
          ? [`${say.mass(bench.watered)} of warm water stirred in because it thickened`]
          : []),
        `Room at about ${say.percent(room, 0)} humidity`,
        ...document.additives.flatMap(({ id, carrier }) =>
          carrier ? [`${library.additives.get(id)?.name ?? id} stirred into oil first`] : [],
        ),
      ],
    },
    { title: 'Pots', lines: pots },
    { title: 'Noted at the bench', lines: bench?.notes ?? [] },
    {
      title: 'What happened',
      lines: shown.map((event) => `${dayOf(event.day)}: ${happened(event, { say, places: [] })}`),
    },
    {
      title: 'Weights of marked bars',
      lines: weighed.map(
        (event) =>
          `${dayOf(event.day)}: ${say.list(event.bars.map(({ bar, grams }) => `bar ${bar} ${say.mass(grams)}`))}`,
      ),
    },
    { title: 'Not known', lines: missing },
    {
      title: 'Now',
      lines: [
        pouredOn
          ? `Poured ${dayText(pouredOn, { today })}, today is ${dayOf(today)}`
          : 'Not poured',
        `Usable: ${usableText(batch)}`,
      ],
    },
  ].filter(({ lines }) => lines.length)
}

/** The same as plain text, to paste into a message. */
export const helpText = (title: string, question: string, parts: HelpPart[]): string =>
  [
    title,
    ...(question ? ['', question] : []),
    ...parts.flatMap((part) => ['', part.title, ...part.lines.map((line) => `- ${line}`)]),
    '',
  ].join('\n')
