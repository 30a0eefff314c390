<script setup lang="ts">
import { troubles, type Trouble } from '#contracts/rackWords'
import { standingOf } from '#core/rack/standing'
import { howBad } from '#core/events/trouble'
import { lackingWithout } from '#core/rack/outlook'
import { troubleKinds } from '#core/troubles/kinds'
import { addDays } from '#core/units/days'

/** One trouble of one batch: what it is, why here by its own record and by all batches, what becomes of the bars, what to change. */
const { batch, problem } = useBatchPage()
const batches = useBatches()
const { today, say } = storeToRefs(useWorkshop())
const route = useRoute()
const asked = String(route.params.trouble)
const trouble = (troubles as readonly string[]).includes(asked) ? (asked as Trouble) : null
const kind = troubleKinds[trouble ?? 'ash']
useHead({
  title: () =>
    batch.value
      ? `${kind.says} on ${batch.value.name} ${batch.value.number} · Mantle`
      : 'Trouble · Mantle',
})
const {
  causes,
  seen,
  seenOn,
  picked,
  looked,
  along,
  formula,
  changes,
  isDone,
  brings,
  busy,
  makeNext,
} = useTroubleCauses(batch, trouble ?? 'ash')

const standing = computed(() => (batch.value ? standingOf(batch.value, today.value) : null))
const stands = computed(() => batch.value?.facts.troubles.find((one) => one.trouble === trouble))
const photos = computed(() => seen.value.flatMap((event) => event.photos))
const line = computed(() => {
  if (!batch.value || !standing.value) return ''
  const days = seenOn.value.map((day) => dayText(day, { today: today.value }))
  return say.value.list([
    standing.value.stage === 'left'
      ? standing.value.spoiled
        ? 'thrown away'
        : 'all gone'
      : say.value.count(standing.value.bars, 'bar', 'bars'),
    `day ${standing.value.day}`,
    stands.value
      ? `${howBad[stands.value.how]}, seen ${say.value.list(days)}`
      : days.length
        ? `gone again, seen ${say.value.list(days)}`
        : 'not written down on this batch',
  ])
})
const asks = useBatchDialog()
const moving = ref(false)
const here = () => standing.value?.stage !== 'left'
const formulas = useFormulas()
const { open: goals, usualDays } = useGoalPlans()
/** The promises that count on these bars. */
const lacking = computed(() =>
  batch.value
    ? lackingWithout(batch.value.id, goals.value, batches.list, today.value, usualDays)
    : [],
)
const lackingActs = computed(() =>
  lacking.value.map(({ goal, fewer, instead }) => {
    const name = formulas.list.find(({ id }) => id === instead?.formulaId)?.document.name
    return {
      says: `Without them ${fewer} fewer for ${goal.what}`,
      beside: `${dayText(goal.on, { today: today.value })}. ${
        name && instead
          ? `${name} can take their place: ${instead.bars} are to spare by then`
          : 'No other formula has as many to spare by then'
      }`,
      label: 'Show',
      act: () => void navigateTo('/#promised'),
    }
  }),
)
/** Days until a trouble is looked at again. */
const lookAfter = 7
const lookAgain = computed(() => {
  if (!stands.value) return []
  const { lookOn, how } = stands.value
  if (lookOn && lookOn <= today.value)
    return [
      {
        says: `Look again: since ${dayText(lookOn, { today: today.value })}`,
        beside: 'as it was? If it is worse, write the trouble down once more',
        label: 'As it was',
        act: () => tell(how),
      },
    ]
  const on = lookOn ?? addDays(today.value, lookAfter)
  return [
    {
      says: `Look again ${lookOn ? 'on' : 'in a week,'} ${dayText(on, { today: today.value })}`,
      beside: lookOn
        ? 'it comes up on the Shelf on that day'
        : 'worse, the same, or gone? It comes up on the Shelf',
      label: lookOn ? 'Forget it' : 'Remind',
      act: () => tell(how, lookOn ? undefined : on),
    },
  ]
})
const acts = computed(() => {
  const one = batch.value
  if (!one || !here() || !one.facts.cutOn) return []
  const { ph } = one.facts.usable
  const ask = (asks_: 'strip' | 'out' | 'noted') => () => (asks.value = { batch: one, asks: asks_ })
  return [
    {
      says: 'Hold a strip to it',
      beside: ph === null ? 'nobody has yet' : `the highest so far read ${say.value.number(ph)}`,
      label: 'Strip',
      act: ask('strip'),
    },
    {
      says: 'Set bars apart',
      beside: 'used at home, reworked or thrown away',
      label: 'Set apart',
      act: ask('out'),
    },
    {
      says: 'Move the rest',
      beside: 'cool, dark, in moving air, away from the others',
      label: 'Move',
      act: () => (moving.value = true),
    },
    {
      says: 'Write down what you did',
      beside: 'and whether it helped',
      label: 'Note',
      act: ask('noted'),
    },
    ...lookAgain.value,
    ...lackingActs.value,
  ]
})
function tell(how: number, lookOn?: string) {
  if (!batch.value || !trouble) return
  const done = lookOn
    ? `You are reminded ${dayText(lookOn, { today: today.value, weekday: true })}.`
    : how
      ? `${kind.says}: written down.`
      : `${kind.says}: gone again.`
  void batches.tell(
    batch.value.id,
    { kind: 'trouble', day: today.value, trouble, how, lookOn, note: '', photos: [] },
    done,
  )
}
const best = computed(() =>
  looked.value?.next && !isDone(looked.value) ? looked.value : changes.value[0],
)
</script>

<template>
  <ProblemPage
    v-if="problem || !trouble"
    :says="problem || 'There is no such trouble.'"
    to="/rack"
    label="To the rack"
  />
  <div v-else-if="batch && standing" class="mx-auto max-w-[1280px] px-3 py-4 sm:px-6">
    <header class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-3">
      <BarThumbnail :thumbnail="batch.thumbnail" :width="82" :height="56" />
      <div class="min-w-0 flex-1 basis-64">
        <h1>{{ kind.says }} on {{ batch.name }} {{ batch.number }}</h1>
        <p class="figure text-ink-2">{{ line }}</p>
      </div>
      <AppButton :to="`/batches/${batch.id}`">Back to the batch</AppButton>
      <AppButton v-if="stands" @click="tell(0)">It went away</AppButton>
      <AppButton v-else @click="tell(2)">Write it down</AppButton>
    </header>
    <div
      class="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[386px_minmax(0,1fr)]"
    >
      <div class="space-y-4 max-lg:contents">
        <section class="sheet px-4 py-3 max-lg:order-1" aria-labelledby="what-it-is">
          <h2 id="what-it-is">What it is</h2>
          <div class="mt-2 flex gap-4">
            <TroubledBar
              :thumbnail="batch.thumbnail"
              :trouble="trouble"
              :width="190"
              :height="136"
            />
            <p class="min-w-0 flex-1">{{ kind.tell }}</p>
          </div>
          <p v-if="photos.length" class="mt-3 flex flex-wrap gap-2">
            <a
              v-for="(photo, at) in photos"
              :key="photo"
              :href="`/api/photos/${photo}`"
              target="_blank"
              rel="noopener"
              ><img
                :src="`/api/photos/${photo}`"
                :alt="`Photo ${at + 1} of ${photos.length}`"
                class="h-16 w-[85px] object-cover"
                loading="lazy"
            /></a>
          </p>
          <template v-if="kind.alike.length">
            <h3 class="mt-3 text-[13px] font-[650] text-ink-2">Not like this? Perhaps</h3>
            <ul class="mt-1 flex flex-wrap gap-x-5 gap-y-2">
              <li v-for="other in kind.alike" :key="other">
                <NuxtLink :to="`/batches/${batch.id}/troubles/${other}`" class="group block">
                  <TroubledBar :thumbnail="batch.thumbnail" :trouble="other" />
                  <span class="link block font-[550]">{{ troubleKinds[other].says }}</span>
                </NuxtLink>
              </li>
            </ul>
          </template>
        </section>
        <section class="sheet max-lg:order-3" aria-labelledby="these-bars">
          <h2 id="these-bars" class="px-4 pt-3">What to do with these bars</h2>
          <p class="px-4 pt-1 pb-3" :class="kind.bad ? 'font-semibold text-stop' : ''">
            {{ kind.bars }}
          </p>
          <ul>
            <li
              v-for="one in acts"
              :key="one.says"
              class="flex items-center justify-between gap-3 border-t border-line-2 px-4 py-2"
            >
              <div class="min-w-0">
                <b class="font-[650]">{{ one.says }}</b>
                <p class="figure text-sm text-ink-2">{{ one.beside }}</p>
              </div>
              <AppButton class="w-24 shrink-0" @click="one.act()">{{ one.label }}</AppButton>
            </li>
          </ul>
        </section>
      </div>
      <section class="sheet max-lg:order-2" aria-labelledby="why-here">
        <h2 id="why-here" class="px-4 pt-3">Why here, by this batch’s own record</h2>
        <ul>
          <li
            v-for="cause in causes"
            :key="cause.says"
            class="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-t border-line-2 px-4 py-3 first:border-t-0 sm:grid-cols-[5rem_minmax(0,1fr)_auto]"
          >
            <b class="font-[650]" :class="cause.weight === 'likely' ? 'text-warn' : 'text-ink-2'">{{
              cause.weight
            }}</b>
            <div class="min-w-0">
              <h3 :class="cause === looked ? '!text-[18px] font-bold' : 'font-[650]'">
                {{ cause.says }}
              </h3>
              <p class="figure text-ink-2">{{ cause.evidence }}</p>
            </div>
            <div class="flex flex-col items-end gap-1 max-sm:col-start-2 max-sm:items-start">
              <button
                v-if="cause.along && cause !== looked"
                type="button"
                class="link font-[550]"
                @click="picked = cause.says"
              >
                Your batches
              </button>
              <template v-if="cause.next && formula">
                <span v-if="isDone(cause)" class="text-sm text-ok">done in its formula</span>
                <button
                  v-else-if="cause !== best"
                  type="button"
                  class="link font-[550]"
                  :disabled="busy"
                  :aria-label="`Next version: ${cause.next.label}`"
                  @click="makeNext([cause])"
                >
                  {{ cause.next.label }}
                </button>
              </template>
            </div>
            <div v-if="cause === looked && along" class="col-span-full mt-2 sm:col-start-2">
              <p class="figure">
                <b>{{ along.value }}</b> here. {{ along.says }}
              </p>
              <AlongPlank
                :id="batch.id"
                class="mt-2"
                :batches="along.batches"
                :figure="along.figure"
                :worse="along.worse"
                :trouble="trouble"
              />
              <p v-if="along.young" class="figure text-sm text-ink-2">
                {{
                  say.count(
                    along.young,
                    'batch that did not stand as long is',
                    'batches that did not stand as long are',
                  )
                }}
                left out.
              </p>
              <dl
                v-if="along.rests.length"
                class="figure mt-3 grid grid-cols-2 rounded-sm border border-line sm:grid-cols-4"
              >
                <div
                  v-for="rest in along.rests"
                  :key="rest.what"
                  class="border-line px-3 py-2 [&:not(:last-child)]:border-r"
                >
                  <dt class="text-sm text-ink-2">{{ rest.what }}</dt>
                  <dd>
                    <b class="text-[17px]">{{ rest.value }}</b>
                    <span class="ml-1 text-sm text-ink-2">{{ rest.beside }}</span>
                  </dd>
                </div>
              </dl>
            </div>
          </li>
        </ul>
        <p v-if="!causes.length" class="px-4 pt-1 pb-3 text-ink-2">
          Nothing in the record points anywhere. Note what was different.
        </p>
        <div
          v-if="best"
          class="flex flex-wrap items-center gap-3 border-t border-line bg-band px-4 py-3 print:hidden"
        >
          <div class="min-w-0 flex-1 basis-56">
            <b class="text-[16px]">Next version: {{ best.next!.label }}</b>
            <p class="figure text-ink-2">{{ brings(best) }} One change, so that it tells.</p>
          </div>
          <AppButton v-if="changes.length > 1" :disabled="busy" @click="makeNext(changes)"
            >All {{ changes.length }} changes</AppButton
          >
          <AppButton
            kind="main"
            :disabled="busy"
            :aria-label="`Next version: ${best.next!.label}`"
            @click="makeNext([best])"
            >Make the next version</AppButton
          >
        </div>
      </section>
    </div>
    <LazyMoveDialog v-if="moving" v-model="moving" :batches="[batch]" />
  </div>
</template>
