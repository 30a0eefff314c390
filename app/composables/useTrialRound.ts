import type { TrialEvent, WholeTrial } from '#contracts/trial'
import type { TrialSign, TrialStage } from '#contracts/trialWords'
import { standingEvents } from '#core/units/standingEvents'
import { controlZero, ricedOf, stagesOf } from '#core/trials/clocks'
import { doseFor, isOff, rateOf } from '#core/trials/dose'
import { roundOf, type RoundOf } from '#core/trials/found'
import { foretoldOf, nextStage, plainMinutes, type Foretold } from '#core/trials/plan'
import { stretchesOf, type Stretch } from '#core/trials/stretches'
import { useIntervalFn } from '@vueuse/core'
import type { PotLook } from '~/utils/potDrawing'

/** What is pressed for what is seen, in the order of the keys 1 to 9. */
export const sights: { key: string; saw: TrialStage | TrialSign; says: string; lid?: true }[] = [
  { key: '1', saw: 'separates', says: 'separates' },
  { key: '2', saw: 'smooth-again', says: 'smooth' },
  { key: '3', saw: 'light', says: 'light' },
  { key: '4', saw: 'medium', says: 'medium' },
  { key: '5', saw: 'thick', says: 'thick' },
  { key: '6', saw: 'too-far', says: 'won’t pour', lid: true },
  { key: '7', saw: 'rices', says: 'rices' },
  { key: '8', saw: 'seizes', says: 'seizes', lid: true },
  { key: '9', saw: 'loosens', says: 'loosens' },
]
export const sightText = (saw: TrialStage | TrialSign): string =>
  sights.find((one) => one.saw === saw)?.says ?? (saw === 'emulsion' ? 'smooth' : saw)

/** A pot on the bench. */
export interface BenchPot {
  place: number
  code: string
  name: string
  scentId: string | null
  state: RoundOf
  /** Minutes by its own clock; null as long as that has not begun. */
  own: number | null
  dose: number
  rate: number
  off: boolean
  look: PotLook
  says: string
  unsure: boolean
  /** By its own clock, when it was last told to be like that. */
  since: number | null
  stretches: Stretch[]
  riced: { from: number; to: number | null } | null
  foretold: Foretold
}

/** An hour at the pots: what happened so far, the clocks, and what is told with a key. */
export function useTrialRound(trial: WholeTrial) {
  const keeper = useTrialKeeper(trial)
  const workshop = useWorkshop()
  const materials = useMaterials()
  const scents = useScents()
  const trials = useTrials()
  const { document } = trial

  /** The clock, once a second: hands move, pots are not drawn anew. */
  const now = ref(workshop.clock())
  useIntervalFn(() => (now.value = workshop.clock()), 1000)
  const round = computed(() => roundOf(document, keeper.events.value, now.value))
  const clock = computed(() =>
    round.value.beganAt === null ? null : (now.value - round.value.beganAt) / 60_000,
  )
  const told = computed(() =>
    round.value.pots.filter((pot, at) => document.pots[at]!.scentId === null || pot.zero !== null),
  )
  const foretold = computed(() =>
    document.pots.map((pot) => {
      const plain = plainMinutes(document, pot.ratio, trials.list, materials.library)
      const known = pot.scentId ? (scents.known.get(pot.scentId) ?? null) : null
      return foretoldOf(plain, known, { rate: pot.rate, ratio: pot.ratio })
    }),
  )
  const pots = computed((): BenchPot[] =>
    document.pots.map((plan, place) => {
      const state = round.value.pots[place]!
      const plain = plan.scentId === null
      const zero = plain
        ? told.value.some(({ zero: own }) => own !== null)
          ? controlZero(told.value)
          : null
        : state.zero
      const end = state.lidded ?? clock.value
      const own = zero === null || end === null ? null : Math.max(0, end - zero)
      const batter = state.batter ?? plan.grams
      const stages = zero === null ? {} : stagesOf(state.marks, zero)
      const last = [...state.marks].sort((a, b) => a.minutes - b.minutes).at(-1)
      const rate =
        state.scent === null ? plan.rate : rateOf({ batter, scent: state.scent }, plan.oilShare)
      return {
        place,
        code: plan.code,
        name: plain ? 'Plain, no scent' : plan.name,
        scentId: plan.scentId,
        state,
        own,
        dose: plain ? 0 : doseFor(batter, plan.oilShare, plan.rate),
        rate,
        off:
          state.scent !== null &&
          isOff(
            { batter, scent: state.scent },
            { oilShare: plan.oilShare, rate: plan.rate, step: document.scale },
          ),
        look: last?.saw ?? 'emulsion',
        says: last ? sightText(last.saw) : 'smooth',
        unsure: last?.unsure ?? false,
        since: last && zero !== null ? last.minutes - zero : null,
        stretches: own === null ? [] : stretchesOf(stages, own),
        riced: zero === null ? null : ricedOf(state.marks, zero),
        foretold: foretold.value[place]!,
      }
    }),
  )
  const going = computed(() => pots.value.filter(({ state }) => state.lidded === null))
  const running = computed(() => going.value.filter(({ own }) => own !== null))

  /** The pot that wants a look: next to change by what is foretold, else the longest not looked at. */
  const wanted = computed((): number | null => {
    const at = clock.value
    if (at === null) return null
    const urgency = ({ state, own, foretold: when, stretches }: BenchPot) => {
      const next = nextStage(stretches.at(-1)?.stage ?? 'emulsion', when)
      const due = next ? Math.max(0, (own ?? 0) - next.at + 1) * 2 : 0
      return at - (state.lookedAt ?? state.zero ?? 0) + due
    }
    const [first] = [...running.value].sort((a, b) => urgency(b) - urgency(a))
    return first?.place ?? null
  })

  /** What was told last, to be taken back with one key; the lid that went with it too. */
  const last = computed(() =>
    standingEvents(keeper.events.value).findLast(
      ({ kind }) => kind !== 'sniffed' && kind !== 'coloured',
    ),
  )
  function takeBack() {
    const event = last.value
    if (!event) return
    const same = standingEvents(keeper.events.value).filter(
      ({ at, kind }) => at === event.at && kind !== 'sniffed' && kind !== 'coloured',
    )
    for (const { id } of same.reverse()) keeper.tell({ kind: 'undone', event: id })
  }
  function lastSays(event: TrialEvent | undefined): string {
    if (!event) return ''
    const code =
      'pot' in event && event.pot !== null ? `${document.pots[event.pot]?.code ?? ''} ` : ''
    switch (event.kind) {
      case 'marked':
        return `${code}${sightText(event.saw)}${event.unsure ? ' ?' : ''}`
      case 'weighed':
        return `${code}${workshop.say.number(event.grams, undefined, 2)} g`
      case 'looked':
        return `${code}as it was`
      case 'lidded':
        return `${code}lid`
      case 'zeroed':
        return `${code}scent in`
      case 'noted':
        return `${code}note`
      case 'began':
        return 'the clock'
      case 'ended':
        return 'the end'
      default:
        return ''
    }
  }
  function mark(place: number, saw: TrialStage | TrialSign, unsure: boolean) {
    const at = workshop.clock()
    keeper.tell({ kind: 'marked', pot: place, saw, unsure }, at)
    if (sights.find((one) => one.saw === saw)?.lid)
      keeper.tell({ kind: 'lidded', pot: place, on: true }, at)
  }
  /** A pot is told with a scent: its weight, and its own clock begins. */
  function scentIn(place: number, grams: number, typed: boolean) {
    const at = workshop.clock()
    keeper.tell({ kind: 'weighed', pot: place, what: 'scent', grams, typed }, at)
    // One whose clock runs is only put right.
    if (round.value.pots[place]!.zero === null) keeper.tell({ kind: 'zeroed', pot: place }, at)
  }
  return {
    trial,
    document,
    keeper,
    round,
    clock,
    pots,
    going,
    running,
    wanted,
    last,
    lastSays,
    takeBack,
    mark,
    scentIn,
    foretold,
  }
}
export type TrialRound = ReturnType<typeof useTrialRound>
