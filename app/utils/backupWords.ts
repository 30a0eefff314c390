import type { RecordDifference } from '#contracts/backup'
import type { Formatter } from '#core/units/formatter'
import { capital } from '#core/units/language'

const kinds: Record<RecordDifference['kind'], [one: string, more: string]> = {
  batch: ['batch', 'batches'],
  entries: ['entry', 'entries'],
  run: ['entry at the bench', 'entries at the bench'],
  formula: ['formula', 'formulas'],
  version: ['version', 'versions'],
  material: ['material', 'materials'],
  mould: ['mould', 'moulds'],
  goal: ['goal', 'goals'],
  scent: ['scent', 'scents'],
  supplier: ['supplier', 'suppliers'],
  colour: ['colour', 'colours'],
  trial: ['trial day', 'trial days'],
  lot: ['lot', 'lots'],
  blend: ['made-up stock', 'made-up stocks'],
  order: ['order', 'orders'],
  market: ['market day', 'market days'],
  design: ['label design', 'label designs'],
  gift: ['gift box', 'gift boxes'],
  soap: ['words for customers', 'words for customers'],
  note: ['note', 'notes'],
  import: ['import', 'imports'],
  shortWord: ['short word', 'short words'],
  lesson: ['lesson', 'lessons'],
  path: ['first soap', 'first soaps'],
  makingDay: ['making day', 'making days'],
  ribbon: ['ribbon', 'ribbons'],
  move: ['move of stock', 'moves of stock'],
  photo: ['photo', 'photos'],
}

/** What is done of a batch, by the kind of event: said as what is gone or comes back. */
const events: Record<string, [one: string, more: string]> = {
  poured: ['the pour', 'pours'],
  cut: ['the cut', 'cuts'],
  weighed: ['a weigh-in', 'weigh-ins'],
  turned: ['a turning', 'turnings'],
  strip: ['a strip', 'strips'],
  zapped: ['a zap test', 'zap tests'],
  salvaged: ['a salvage', 'salvages'],
  noted: ['a note', 'notes'],
  out: ['bars that went out', 'lots that went out'],
  placed: ['where the bars stand', 'moves of bars'],
  trouble: ['a trouble', 'troubles'],
  felt: ['a test in use', 'tests in use'],
  pictured: ['a picture', 'pictures'],
  undone: ['something taken back', 'things taken back'],
}

/** One line of what a restore would change. */
export function differenceText(
  { kind, name, number, event, count, changed }: RecordDifference,
  say: Formatter,
): string {
  const batch = number === null ? name : `${name} ${number}`
  switch (kind) {
    case 'batch':
      return `Batch ${batch}`
    case 'entries': {
      const [one, more] = events[event] ?? ['an entry', 'entries']
      return `${batch}: ${count > 1 ? say.count(count, one, more) : one}`
    }
    case 'run':
      return `${batch}: ${say.count(count, ...kinds.run)}`
    case 'move':
      return `${name}: ${say.count(count, ...kinds.move)}`
    case 'photo':
      return say.count(count, ...kinds.photo)
    case 'trial':
      return changed ? `${name}, as it is now` : name
    default: {
      const said = `${capital(kinds[kind][0])} ${name}`
      return changed ? `${said}, as it is now` : said
    }
  }
}

/** How old something is, as coarsely as one would say it. */
export function ageText(hours: number, say: Formatter): string {
  if (hours < 1) return 'under an hour old'
  if (hours < 36) return `${say.count(Math.round(hours), 'hour', 'hours')} old`
  const days = Math.round(hours / 24)
  return days < 60
    ? `${say.count(days, 'day', 'days')} old`
    : `${say.count(Math.round(days / 30), 'month', 'months')} old`
}

/** What an archive holds, in short. */
export function holdsText(counts: Record<string, number> | null, say: Formatter): string {
  if (!counts) return 'made by an older Mantle, without a manifest'
  return say.list([
    say.count(counts.batches ?? 0, 'batch', 'batches'),
    say.count(counts.formulas ?? 0, 'formula', 'formulas'),
    say.count(counts.photos ?? 0, 'photo', 'photos'),
  ])
}
