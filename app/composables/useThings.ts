import type { BatchSummary } from '#contracts/batch'
import { offers } from '#core/events/index'
import { notCut, notPoured, type Kind } from '#core/events/kind'
import { thingIn } from '#core/stores/things'
import { findingOf } from '#core/scents/finding'
import { inSentence } from '#core/units/language'
import { standingOf, type RackStage, type Standing } from '#core/rack/standing'
import type { Thing, Verb } from '~/utils/finding'
import { stations } from '~/utils/stations'

const stageNames: Record<RackStage, string> = {
  planned: 'planned',
  'first-days': 'fresh',
  drying: 'drying',
  'last-weeks': 'nearly ready',
  ready: 'ready',
  left: 'off the rack',
}
/** What is written down of a batch, as it is typed. */
const told: readonly { word: string; also?: readonly string[]; kind: Kind }[] = [
  { word: 'weigh', kind: 'weighed' },
  { word: 'turn', also: ['turned'], kind: 'turned' },
  { word: 'test', also: ['strip'], kind: 'strip' },
  { word: 'cut', also: ['unmould'], kind: 'cut' },
  { word: 'look', also: ['peek', 'check'], kind: 'checked' },
  { word: 'note', kind: 'noted' },
  { word: 'bars out', also: ['sell', 'give'], kind: 'out' },
  { word: 'move', also: ['place'], kind: 'placed' },
  { word: 'trouble', kind: 'trouble' },
]
/** Told of a batch as in a round through the room: whenever it has bars. */
const rounds: Partial<Record<Kind, 'weigh' | 'turn'>> = { weighed: 'weigh', turned: 'turn' }

/** All that can be found in the workshop, each with what can be done with it now. */
export function useThings(gone: () => readonly BatchSummary[]) {
  const router = useRouter()
  const formulas = useFormulas()
  const batches = useBatches()
  const materials = useMaterials()
  const moulds = useMoulds()
  const goals = useGoals()
  const suppliers = useSuppliers()
  const workshop = useWorkshop()
  const { today } = storeToRefs(workshop)
  const answer = useDueAnswers()
  const asked = useBatchDialog()
  const keyHelp = useKeyHelp()
  const view = useRackView()
  const lots = useLots()
  const days = useDays()
  void lots.load()
  void days.load()
  void Promise.all([formulas.load(), batches.load(), moulds.load(), goals.load(), suppliers.load()])

  function toRoom() {
    view.value = 'room'
    return router.push('/rack')
  }
  const open = (path: string, word = 'open'): Verb => ({ word, act: () => router.push(path) })
  function toldOf(batch: BatchSummary, standing: Standing): Verb[] {
    const may = new Set(offers(standing, batch.facts).map(({ kind }) => kind))
    const { stage, pouredOn, cutOn } = standing
    const otherwise = !pouredOn
      ? notPoured
      : stage === 'left'
        ? 'Nothing is left of it.'
        : cutOn
          ? 'That is over.'
          : notCut
    return told.map(({ word, also, kind }) => {
      const round = rounds[kind]
      const can = round ? cutOn && stage !== 'left' : may.has(kind)
      return {
        word,
        also,
        whyNot: can ? undefined : otherwise,
        act: () => (round ? answer(round, [batch]) : (asked.value = { batch, asks: kind })),
      }
    })
  }
  const batchThings = computed(() =>
    [...batches.list, ...gone()].map((batch): Thing => {
      const standing = standingOf(batch, today.value)
      const { stage, pouredOn, bars } = standing
      return {
        id: batch.id,
        name: `${batch.name} ${batch.number}`,
        also: `batch, ${stageNames[stage]}${pouredOn && bars ? `, ${bars} bars` : ''}`,
        thumbnail: batch.thumbnail,
        verbs: [
          open(`/batches/${batch.id}`),
          ...(pouredOn
            ? []
            : [{ ...open(`/bench/${batch.id}`, 'make'), also: ['bench', 'pour', 'start'] }]),
          ...toldOf(batch, standing),
          open(`/batches/${batch.id}/sheet`, 'print'),
          open(`/batches/${batch.id}/labels`, 'label'),
        ],
      }
    }),
  )
  const formulaThings = computed(() =>
    formulas.list.map(({ id, document }): Thing => ({
      id,
      name: document.name,
      also: 'formula',
      thumbnail: formulas.thumbnail({ id, document }),
      verbs: [
        open(`/formulas/${id}`),
        { ...open(`/formulas/${id}?make=1`, 'make'), also: ['batch', 'pour'] },
        open(`/formulas/compare?a=f:${id}`, 'compare'),
        open(`/formulas/${id}/sheet`, 'print'),
      ],
    })),
  )
  const shelfThings = computed((): Thing[] => {
    const { fats, liquids, additives, scents = new Map() } = materials.library
    const material = (kind: string, one: { id: string; name: string }): Thing => ({
      id: `material ${one.id}`,
      name: one.name,
      also: kind,
      verbs: [open(`/formulas/materials?find=${encodeURIComponent(one.name)}`)],
    })
    return [
      ...[...fats.values()].map((one) => material('fat', one)),
      ...[...liquids.values()].map((one) => material('liquid', one)),
      ...[...additives.values()].map((one) => material('extra or colour', one)),
      ...[...scents.values()].map((known) => {
        const { id, name, scent, tried } = known
        const scratched = scent.code ? `, scratched ${scent.code}` : ''
        const found = tried.length ? `: ${inSentence(findingOf(known, workshop.say).says)}` : ''
        return {
          id: `scent ${id}`,
          name,
          also: `scent${scratched}${found}`,
          verbs: [
            open(`/scents/${id}`),
            { ...open(`/scents/trials/new?take=${id}`, 'try'), also: ['trial'] },
          ],
        }
      }),
      ...lots.list.map((lot) => ({
        id: `lot ${lot.id}`,
        name: `${thingIn(materials.library, lot.document.thing).name.split(',')[0]} ${lot.document.code}`,
        also: `lot${lot.document.held ? ', held' : ''}`,
        verbs: [
          open(`/stores?lot=${lot.id}`),
          { ...open(`/stores/count?lot=${lot.id}`, 'count'), also: ['weigh'] },
          { ...open(`/stores/lots/${lot.id}/trace`, 'trace'), also: ['who has it', 'recall'] },
        ],
      })),
      ...suppliers.list.map(({ id, document }) => ({
        id: `supplier ${id}`,
        name: document.name,
        also: 'supplier',
        verbs: [open(`/scents/suppliers/${id}`)],
      })),
      ...[...materials.library.additives.values()]
        .filter(({ id }) => materials.library.colours?.has(id))
        .map(({ id, name }) => ({
          id: `colour ${id}`,
          name,
          also: 'colour, how it came out here',
          verbs: [open(`/scents/colours/${id}`)],
        })),
      ...moulds.list.map(({ id, document }) => ({
        id,
        name: document.name,
        also: 'mould',
        verbs: [open('/formulas/moulds')],
      })),
      ...workshop.settings.rack.places.map(({ id, name }) => ({
        id: `place ${id}`,
        name,
        also: 'place in the drying room',
        verbs: [{ word: 'open', act: toRoom }],
      })),
      ...goals.list.map(({ id, document }) => ({
        id,
        name: document.what,
        also: `${document.bars} promised for ${dayText(document.on, { today: today.value })}`,
        verbs: [open('/')],
      })),
    ]
  })
  const page = (name: string, also: string, go: string | (() => unknown)): Thing => ({
    id: `page ${name}`,
    name,
    also,
    verbs: [typeof go === 'string' ? open(go) : { word: 'open', act: go }],
  })
  const pages: Thing[] = [
    page('New formula', 'write one from nothing', async () =>
      router.push(`/formulas/${await formulas.create()}`),
    ),
    ...stations.map(({ name, path, key }) => page(name, `station, g ${key}`, path)),
    page('The first soap', 'step by step for who has never made any, beginner', '/journal/first'),
    page('Old pages in', 'photos of notebooks, spreadsheets; the journal', '/journal/import'),
    page(
      'Ask the journal',
      'questions to own batches, with and without, two batches; the journal',
      '/journal/ask',
    ),
    page('Said and came', 'forecasts, how good they were, offsets; the journal', '/journal/said'),
    page('A year on paper', 'yearbook, print, index; the journal', '/journal/yearbook'),
    page('Plan a making day', 'several batches in one day, two people; the bench', '/bench'),
    page('Plan a trial day', 'scents stirred into pots of one batter', '/scents/trials/new'),
    page('What came in', 'receive, put away, delivery, lot', '/stores/receive'),
    page('Count the stores', 'walk the shelf with the scale', '/stores/count'),
    page('Shopping list', 'what to buy until when, orders', '/stores/shopping'),
    page('Made up ahead', 'oil blends, lye solution, coloured oil', '/stores/blends'),
    page('Market days', 'pack, sell, bring home', '/stores/markets'),
    page('Labels and prices', 'ingredient list, gift boxes, where you sell', '/stores/labels'),
    page('Price list', 'price cards, wholesale', '/stores/labels/prices'),
    page('Cards for the shelf', 'price cards', '/stores/labels/cards'),
    page('Cost and the year', 'hours, overheads, prices, spent and taken', '/stores/year'),
    page('Sniff', 'noses at the jars, blind', '/scents/sniffing'),
    page('What the trials found', 'every scent on one clock, slow to fast', '/scents/found'),
    page('Check a recipe', 'paste fats, lye and water', '/formulas/check'),
    page('Materials', 'fats, liquids, extras and their values', '/formulas/materials'),
    page('Find a formula', 'the best blend of fats you have', '/formulas/find'),
    page('Moulds', 'what the workshop pours into', '/formulas/moulds'),
    page('Compare', 'two formulas, versions or batches side by side', '/formulas/compare'),
    page('Explained', 'how every estimate is reckoned, how far to trust it', '/explained'),
    page(
      'Workshop settings',
      'units, grams, ounces, degrees, scale, time zone, dates, dark, currency, superfat, water, cure',
      '/workshop',
    ),
    page('Backup', 'back up, restore, archive; the workshop', '/workshop'),
    page('Network and devices', 'pair a tablet, LAN access, rights; the workshop', '/workshop'),
    page('Drying room', 'places, planks, humidity', toRoom),
    page('Emergency', 'lye in an eye, on skin, swallowed, boiling over, spilled', '/emergency'),
    page('Keys', 'what the keyboard does, ?', () => (keyHelp.value = true)),
  ]
  const dayThings = computed(() =>
    days.list
      .filter(({ document }) => !document.endedAt)
      .map(({ id, document }): Thing => ({
        id,
        name: dayText(document.day, { weekday: true, today: today.value }),
        also: `making day, ${workshop.say.count(document.batches.length, 'batch', 'batches')}`,
        verbs: [
          document.startedAt ? open(`/bench/day/${id}/make`) : open(`/bench/day/${id}`),
          open(`/bench/day/${id}/paper`, 'print'),
        ],
      })),
  )
  return computed(() => [
    ...batchThings.value,
    ...dayThings.value,
    ...formulaThings.value,
    ...pages,
    ...shelfThings.value,
  ])
}
