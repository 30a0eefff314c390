<script setup lang="ts">
import type { TrialEvent, WholeTrial } from '#contracts/trial'
import {
  differenceBands,
  differenceOf,
  differenceWord,
  wayOf,
  type ColourWord,
} from '#core/scents/colour'
import { dueByEye } from '#core/trials/jars'
import { daysBetween } from '#core/units/days'
import { plainSoap } from '~/utils/potDrawing'

/** A photo of a sample beside the plain one: two points, or three with a card, and how far apart they are to the eye. */
const route = useRoute()
const workshop = useWorkshop()
const toasts = useToasts()
const trials = useTrials()
const scents = useScents()
const suppliers = useSuppliers()
const { say } = storeToRefs(workshop)
const id = computed(() => String(route.params.id))
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
const pot = ref<number | null>(null)
const day = computed(() =>
  trial.value ? Math.max(0, daysBetween(trial.value.document.day, workshop.today)) : 0,
)
const scented = computed(() => trial.value?.found.filter(({ scentId }) => scentId) ?? [])
const chosen = computed(() => scented.value.find((one) => one.pot === pot.value) ?? null)
const due = computed(
  () => new Set(scented.value.flatMap((one) => (dueByEye(one.colour, day.value) ? one.pot : []))),
)
/** Left for another time. */
const passed = ref(new Set<number>())
const nextDue = () =>
  [...due.value].find((one) => one !== pot.value && !passed.value.has(one)) ?? null
async function load() {
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id.value}`)
    pot.value ??= [...due.value][0] ?? scented.value[0]?.pot ?? null
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(() => Promise.all([load(), scents.load(), suppliers.load()]))
useHead({
  title: () => (chosen.value ? `${chosen.value.name} beside plain · Mantle` : 'Colours · Mantle'),
})

const photo = usePhotoPoints(() => [
  { is: 'plain', says: 'Plain, no scent', beside: 'the control of the same day' },
  { is: 'sample', says: chosen.value?.name ?? 'Sample', beside: 'the sample' },
  { is: 'card', says: 'Card', beside: 'white or grey, takes out the light’s colour', card: true },
])
const { colours, faults, url } = photo
const found = computed(() => {
  const [sample, plain] = [colours.value.get('sample'), colours.value.get('plain')]
  if (!sample || !plain) return null
  return {
    sample,
    plain,
    difference: differenceOf(sample.balanced, plain.balanced),
    asShot: differenceOf(sample.shot, plain.shot),
    way: wayOf(sample.balanced, plain.balanced),
    card: photo.card.value !== null,
  }
})
const wordInks: Record<ColourWord, string> = {
  same: 'text-ok',
  slight: 'text-ink',
  clear: 'text-warn',
  strong: 'text-stop',
}
/** Where on the scale of words a difference lies, %: to 20, as wide as they are. */
const scaleTo = 20
const along = (value: number) => `${(Math.min(scaleTo, value) / scaleTo) * 100}%`
const scaleInks: Record<ColourWord, string> = {
  same: '#dfe8e1',
  slight: '#e8e9d4',
  clear: '#f0dcb8',
  strong: '#dfb98b',
}
const scale = differenceBands.map(({ word, to }, at) => ({
  says: word,
  from: differenceBands[at - 1]?.to ?? 0,
  to: Math.min(to, scaleTo),
  colour: scaleInks[word],
}))
/** What its supplier said of its colour, and since when that does not hold. */
const claim = computed(() => {
  const scent = chosen.value?.scentId ? scents.known.get(chosen.value.scentId) : undefined
  const said = scent?.scent.claims.colour
  if (!scent || !said) return null
  const who = suppliers.list.find((one) => one.id === scent.supplierId)?.document.name
  const broke = scent.colour.find(({ from }) => from >= 5)?.day
  const holds = (said === 'pale') === (broke === undefined)
  return {
    says: said === 'pale' ? 'stays pale' : 'browns',
    holds,
    who: `${who ?? 'Its supplier'} said. ${
      said === 'pale'
        ? broke === undefined
          ? 'So far it does.'
          : `Not since day ${broke}.`
        : broke === undefined
          ? 'Not so far.'
          : `Since day ${broke}.`
    }`,
  }
})

function choose(one: number) {
  pot.value = one
  photo.forget('sample')
}
function pass() {
  if (pot.value === null) return
  passed.value = new Set([...passed.value, pot.value])
  const next = nextDue()
  if (next !== null) choose(next)
}
const busy = ref(false)
const ready = computed(() => found.value !== null && !faults.value.length && pot.value !== null)
async function keep() {
  const { value: now } = found
  const of = chosen.value
  if (!ready.value || !now || !of || busy.value) return
  busy.value = true
  const eventId = newId()
  const send = (event: TrialEvent) =>
    api.post(`/api/trials/${id.value}/events`, { events: [event] })
  const at = () => new Date(workshop.clock()).toISOString()
  try {
    const kept = photo.file.value && (await sendPhoto(`trials/${id.value}`, photo.file.value))
    await send({
      id: eventId,
      at: at(),
      kind: 'coloured',
      pot: of.pot,
      day: day.value,
      sample: now.sample.balanced,
      plain: now.plain.balanced,
      swatch: now.sample.balancedSwatch,
      plainSwatch: now.plain.balancedSwatch,
      card: now.card,
      photo: kept,
    })
    toasts.show(
      `${of.name}: ${say.value.number(now.difference, undefined, 1)} from plain on day ${day.value}.`,
      {
        undo: async () => {
          await send({ id: newId(), at: at(), kind: 'undone', event: eventId })
          await Promise.all([load(), trials.again()])
        },
      },
    )
    await Promise.all([load(), trials.again()])
    // The photo stays: often several jars stand in one.
    const next = nextDue()
    if (next === null) photo.forget('sample')
    else choose(next)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
useShortcuts({ Enter: () => void keep() })
const lookOf = (one: (typeof scented.value)[number]) => {
  const last = one.colour.at(-1)
  return {
    plain: last?.plain ?? plainSoap,
    sample: last?.swatch ?? plainSoap,
    says: due.value.has(one.pot)
      ? last
        ? `day ${last.day}`
        : 'not yet'
      : last
        ? `✓ ${say.value.number(last.from, undefined, 1)}`
        : '',
    done: !due.value.has(one.pot) && last !== undefined,
    noCard: last !== undefined && !last.card,
  }
}
const place = computed(() => [...due.value].findIndex((one) => one === pot.value) + 1)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <template v-else-if="trial">
      <header class="mb-3 flex flex-wrap items-center gap-3">
        <div class="min-w-0 flex-1 basis-72">
          <h1>
            {{ chosen ? `${chosen.name} beside plain, day ${day}` : 'No pot with a scent' }}
          </h1>
          <p class="figure text-ink-2">
            <template v-if="place">{{ place }} of {{ due.size }} that are due today. </template>
            <NuxtLink :to="`/scents/trials/${id}`" class="link"
              >Trial day {{ trial.document.number }}</NuxtLink
            >
            of {{ dayText(trial.document.day, { today: workshop.today, long: true }) }}
          </p>
        </div>
        <label
          v-if="url"
          class="cursor-pointer rounded-sm border border-line-3 bg-field px-3.5 py-2 font-[550] text-on-field focus-within:outline-2"
        >
          Take it again
          <input type="file" accept="image/*" class="sr-only" @change="photo.takeFrom" />
        </label>
        <AppButton v-if="due.size > 1" @click="pass">Not this one</AppButton>
        <AppButton kind="main" :disabled="!ready || busy" @click="keep"
          >{{
            found
              ? `Keep ${say.number(found.difference, undefined, 1)}${due.size > 1 ? ', next' : ''}`
              : 'Keep it'
          }}
          <kbd class="ml-1">Enter</kbd></AppButton
        >
      </header>
      <div
        class="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_432px]"
      >
        <div>
          <PhotoPicked :photo="photo">
            Sample and plain beside each other, in daylight without sun, a white or grey card with
            them. It is kept with the trial day.
          </PhotoPicked>
          <ul class="mt-2 grid grid-cols-3 gap-2 sm:grid-cols-6" aria-label="Pots of this day">
            <li v-for="one in scented" :key="one.pot" class="min-w-0">
              <button
                type="button"
                class="block w-full text-left"
                :aria-pressed="one.pot === pot"
                @click="choose(one.pot)"
              >
                <span
                  class="relative flex h-[54px] gap-1.5 bg-[#5a5f5b] p-2"
                  :class="one.pot === pot ? 'outline-3 -outline-offset-3 outline-act' : ''"
                >
                  <i class="flex-1" :style="{ background: lookOf(one).plain }" />
                  <i class="flex-1" :style="{ background: lookOf(one).sample }" />
                  <b
                    v-if="lookOf(one).says"
                    class="figure absolute right-0 bottom-0 px-1.5 text-[12px] text-white"
                    :class="lookOf(one).done ? 'bg-[#2a6d4e]' : 'bg-[#182022]'"
                    >{{ lookOf(one).says }}{{ lookOf(one).noCard ? ', no card' : '' }}</b
                  >
                </span>
                <span
                  class="block truncate text-[13px]"
                  :class="one.pot === pot ? 'font-bold' : ''"
                  >{{ one.name }}</span
                >
              </button>
            </li>
          </ul>
        </div>
        <div class="grid grid-cols-[minmax(0,1fr)] gap-3">
          <PointList :photo="photo" />
          <section class="sheet px-4 py-3" aria-label="How far apart" aria-live="polite">
            <template v-if="found">
              <div class="flex gap-5">
                <span
                  class="chamfer flex h-[110px] min-w-0 flex-1 border border-ink/60"
                  role="img"
                  aria-label="Plain on the left, the sample on the right"
                >
                  <i class="flex-1" :style="{ background: found.plain.balancedSwatch }" />
                  <i class="flex-1" :style="{ background: found.sample.balancedSwatch }" />
                </span>
                <div class="w-36">
                  <b class="figure block text-[48px] leading-none">{{
                    say.number(found.difference, undefined, 1)
                  }}</b>
                  <b
                    class="block text-[20px]"
                    :class="wordInks[differenceWord(found.difference)]"
                    >{{ differenceWord(found.difference) }}</b
                  >
                  <span class="block text-[13px] leading-tight text-ink-2"
                    >{{ say.list(found.way, 'and')
                    }}<template v-if="found.card"
                      ><br />without the card {{ say.number(found.asShot, undefined, 1) }}</template
                    ></span
                  >
                </div>
              </div>
              <div class="relative mt-4 text-[13px] text-ink-2" aria-hidden="true">
                <div class="relative h-5">
                  <span
                    v-for="one in scale"
                    :key="one.says"
                    class="figure absolute -translate-x-full pr-0.5"
                    :style="{ left: along(one.to) }"
                    >{{ one.to }}</span
                  >
                </div>
                <div class="relative flex h-4">
                  <i
                    v-for="one in scale"
                    :key="one.says"
                    class="border-r-2 border-sheet"
                    :style="{ width: along(one.to - one.from), background: one.colour }"
                  />
                  <i
                    class="absolute -inset-y-1 w-[3px] bg-ink"
                    :style="{ left: along(found.difference) }"
                  />
                </div>
                <div class="relative h-5">
                  <span
                    v-for="one in scale"
                    :key="one.says"
                    class="absolute"
                    :class="
                      differenceWord(found.difference) === one.says ? 'font-bold text-ink' : ''
                    "
                    :style="{ left: along(one.from) }"
                    >{{ one.says }}</span
                  >
                </div>
              </div>
              <details class="mt-1 text-[13px]">
                <summary class="link w-fit">
                  why {{ say.number(found.difference, undefined, 1) }}?
                </summary>
                <p class="mt-1 text-ink-2">
                  The light of each square is averaged,
                  {{ found.card ? 'the colour of the light taken out by the card, ' : '' }}brought
                  to lightness, red to green and yellow to blue, and the distance of the two taken
                  as the eye sees it (CIEDE2000). Plain:
                  {{ say.number(found.plain.balanced.l, undefined, 1) }},
                  {{ say.number(found.plain.balanced.a, undefined, 1) }},
                  {{ say.number(found.plain.balanced.b, undefined, 1) }}. Sample:
                  {{ say.number(found.sample.balanced.l, undefined, 1) }},
                  {{ say.number(found.sample.balanced.a, undefined, 1) }},
                  {{ say.number(found.sample.balanced.b, undefined, 1) }}. Under 2 nobody sees it.
                </p>
              </details>
              <p v-if="!found.card" class="mt-1 text-warn">
                Without a card it is as the camera made it: good for this photo, not against
                another.
              </p>
            </template>
            <p v-else class="text-ink-2">
              {{
                url
                  ? 'Pick the plain one, then the sample.'
                  : 'How far the sample went from plain, once both are picked.'
              }}
            </p>
            <ul v-if="faults.length" role="alert" class="mt-2 font-semibold text-stop">
              <li v-for="fault in faults" :key="fault">{{ fault }}</li>
            </ul>
          </section>
          <ColourLine
            v-if="chosen"
            :seen="chosen.colour"
            :now="
              found ? { day, from: found.difference, swatch: found.sample.balancedSwatch } : null
            "
          >
            <p v-if="claim" class="mt-1 border-t border-line-2 pt-1.5 text-[13px]">
              <b :class="claim.holds ? 'text-ok' : 'text-warn line-through'">{{ claim.says }}</b>
              <span class="ml-2 text-ink-2">{{ claim.who }}</span>
            </p>
          </ColourLine>
        </div>
      </div>
    </template>
  </div>
</template>
