<script setup lang="ts">
import type { Judged } from '#contracts/scent'
import type { ScentRow } from '~/composables/useScentRows'
import { promisedMinutes } from '#core/scents/claims'
import { claimsOf } from '~/utils/scentWords'

/** A supplier's word, scent by scent, beside what the pots here did. */
const route = useRoute()
const suppliers = useSuppliers()
const scents = useScents()
const { say } = storeToRefs(useWorkshop())
const { rows, plainMinuteOf, load, loaded, problem } = useScentRows()
onMounted(() => void load())

const id = computed(() => String(route.params.id))
const stored = computed(() => suppliers.list.find((one) => one.id === id.value) ?? null)
useHead({ title: computed(() => `${stored.value?.document.name ?? 'Supplier'} · Mantle`) })
const theirs = computed(() => rows.value.filter(({ scent }) => scent.supplierId === id.value))
const slow = (row: ScentRow) => row.finding.minutes ?? 61
const tried = computed(() =>
  theirs.value.filter(({ pot }) => pot).sort((a, b) => slow(b) - slow(a)),
)
const untried = computed(() => theirs.value.filter(({ pot }) => !pot))
const judged = computed((): Judged[] => theirs.value.flatMap(({ known }) => known?.judged ?? []))
const held = computed(() => judged.value.filter((one) => one.held).length)
const all = computed(() => [...scents.known.values()].flatMap((one) => [...one.judged]))

/** Where medium falls if their word is right, within the hour that is drawn. */
function promised(row: ScentRow): { from: number; to: number } | null {
  const plain = plainMinuteOf(row.pot)
  const { pace } = row.scent.claims
  if (!pace || plain === null) return null
  const { from, to } = promisedMinutes(pace, plain)
  return { from, to: Math.min(60, to) }
}
function missed(row: ScentRow): string {
  const band = promised(row)
  const minutes = row.finding.minutes
  if (paceClaim(row)[0]?.held !== false) return ''
  if (!band || minutes === null || minutes >= band.from || row.scent.claims.pace === 'hurries')
    return ''
  return `${say.value.number(band.from - minutes, undefined, 1)} min too soon`
}
const left = (minutes: number) => `${(Math.min(60, minutes) / 60) * 100}%`
const paceClaim = (row: ScentRow) =>
  claimsOf(row.scent, row.known).filter(({ claim }) => claim === 'pace')
const otherClaims = (row: ScentRow) =>
  claimsOf(row.scent, row.known).filter(({ claim }) => claim !== 'pace')

/** Each thing they promise, with how often it held. */
const words = computed(() => {
  const by = new Map<string, Judged[]>()
  for (const row of theirs.value)
    for (const { claim, says, held: is } of claimsOf(row.scent, row.known))
      if (is !== null) by.set(says, [...(by.get(says) ?? []), { claim, held: is }])
  return [...by].map(([says, list]) => ({
    says,
    list,
    held: list.filter((one) => one.held).length,
  }))
})
const ours = computed(() => tried.value[0]?.pot ?? null)
const editing = ref(false)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <EmptyState v-else-if="loaded && !stored" title="There is no such supplier">
      It may be deleted.
      <template #actions><AppButton to="/scents">All scents</AppButton></template>
    </EmptyState>
    <template v-else-if="stored && loaded">
      <div class="mb-4 flex flex-wrap items-center gap-3">
        <div class="mr-auto">
          <h1>{{ stored.document.name }}</h1>
          <p class="text-ink-2">
            {{ say.count(theirs.length, 'scent', 'scents') }} of theirs in the drawer,
            {{ say.number(tried.length) }} tried here
          </p>
        </div>
        <AppButton to="/scents">All scents</AppButton>
        <AppButton @click="editing = true">Change</AppButton>
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_352px]">
        <section class="sheet px-4 py-3">
          <div class="flex flex-wrap items-baseline gap-x-4">
            <h2 class="text-sm font-semibold text-ink-2">Their word and our pots</h2>
            <span class="flex-1 text-sm text-ink-2"
              ><i
                class="mr-1 inline-block h-3.5 w-8 border-l-2 border-ink-2 bg-[#dde5e1] align-[-2px] dark:bg-slate-2"
              />where medium falls if their word is right; slower does no harm</span
            >
            <p>
              <b class="figure text-[24px]">{{
                judged.length < 3
                  ? 'too few to tell'
                  : `${say.number(held)} of ${say.number(judged.length)}`
              }}</b>
              <template v-if="judged.length >= 3"> claims held</template>
            </p>
          </div>
          <ol class="mt-2">
            <li
              v-for="row in tried"
              :key="row.id"
              class="grid items-center gap-x-4 border-t border-line-2 py-2 lg:grid-cols-[132px_minmax(0,1fr)_118px_150px]"
            >
              <span class="leading-5">
                <NuxtLink
                  :to="`/scents/${row.id}`"
                  class="block truncate font-bold hover:underline"
                  >{{ row.scent.name }}</NuxtLink
                >
                <span class="figure text-ink-2"
                  >{{
                    row.finding.minutes === null
                      ? 'over an hour'
                      : `${say.number(row.finding.minutes, undefined, 1)} min`
                  }}<template v-if="(row.known?.tried.length ?? 0) > 1"
                    >, {{ say.count(row.known!.tried.length, 'pot', 'pots') }}</template
                  ></span
                >
              </span>
              <span class="relative block pt-3.5">
                <i
                  v-if="promised(row)"
                  class="absolute inset-y-0 border-x-2 border-ink-2/60 bg-[#dde5e1] dark:bg-slate-2"
                  :style="{
                    left: left(promised(row)!.from),
                    right: `${100 - (promised(row)!.to / 60) * 100}%`,
                  }"
                />
                <i
                  v-if="row.finding.minutes !== null"
                  class="absolute top-0 z-10 size-3 -translate-x-1/2 rounded-full border-2"
                  :class="
                    paceClaim(row)[0]?.held === false ? 'border-warn bg-sheet' : 'border-ok bg-ok'
                  "
                  :style="{ left: left(row.finding.minutes) }"
                />
                <StageRibbon
                  class="relative"
                  :stretches="row.stretches"
                  :colour="row.scent.colour"
                  :plain="plainMinuteOf(row.pot)"
                  :riced="row.pot?.riced"
                  :height="24"
                  :ticks="false"
                />
              </span>
              <span>
                <ClaimMarks :claims="paceClaim(row)" />
                <span class="block text-ink-2">{{ missed(row) }}</span>
              </span>
              <ClaimMarks v-if="otherClaims(row).length" :claims="otherClaims(row)" />
            </li>
          </ol>
          <p v-if="!tried.length" class="mt-2 text-ink-2">None of theirs was tried here yet.</p>
          <p v-if="untried.length" class="border-t border-line-2 pt-2 text-ink-2">
            Not tried yet: {{ say.list(untried.map(({ scent }) => scent.name)) }}.
          </p>
        </section>
        <div class="grid gap-3">
          <section class="sheet px-4 py-3">
            <div class="flex">
              <h2 class="flex-1 text-sm font-semibold text-ink-2">Which of their words hold</h2>
              <span class="text-sm text-ink-2">claims held</span>
            </div>
            <ul class="mt-1">
              <li v-for="word in words" :key="word.says" class="flex items-center gap-2 py-1">
                <b class="w-28">{{ word.says }}</b>
                <HeldMarks class="flex-1" :judged="word.list" />
                <b class="figure"
                  >{{ say.number(word.held) }} of {{ say.number(word.list.length) }}</b
                >
              </li>
            </ul>
            <p v-if="!words.length" class="text-ink-2">Nothing can be told yet.</p>
            <p class="mt-1 border-t border-line pt-2 text-ink-2">
              <NuxtLink to="/scents#suppliers" class="link float-right font-[550]"
                >Compare</NuxtLink
              >
              All suppliers together: {{ say.number(all.filter((one) => one.held).length) }} of
              {{ say.number(all.length) }}.
            </p>
          </section>
          <section class="sheet px-4 py-3">
            <h2 class="text-sm font-semibold text-ink-2">How they tried them, and how we do</h2>
            <table class="mt-1 w-full text-left">
              <thead>
                <tr class="text-ink-2">
                  <td />
                  <th scope="col" class="font-normal">theirs</th>
                  <th scope="col" class="font-normal">ours</th>
                </tr>
              </thead>
              <tbody class="[&_th]:font-normal [&_th]:text-ink-2">
                <tr>
                  <th scope="row">Scent</th>
                  <td>
                    <b>{{
                      stored.document.tested.rate === null
                        ? 'ask'
                        : say.percent(stored.document.tested.rate, 1)
                    }}</b>
                  </td>
                  <td>
                    <b>{{ ours ? say.percent(ours.rate, 1) : '–' }}</b>
                  </td>
                </tr>
                <tr>
                  <th scope="row">Water</th>
                  <td>
                    <b>{{
                      stored.document.tested.ratio === null
                        ? 'ask'
                        : say.ratio(stored.document.tested.ratio)
                    }}</b>
                  </td>
                  <td>
                    <b>{{ ours ? say.ratio(ours.ratio) : '–' }}</b>
                  </td>
                </tr>
                <tr>
                  <th scope="row">In at</th>
                  <td>
                    <b>{{
                      stored.document.tested.celsius === null
                        ? 'ask'
                        : say.temperature(stored.document.tested.celsius)
                    }}</b>
                  </td>
                  <td />
                </tr>
                <tr>
                  <th scope="row">Batter</th>
                  <td>
                    <b>{{ stored.document.tested.batter || 'ask' }}</b>
                  </td>
                  <td>
                    <b>{{ ours?.formula ?? '–' }}</b>
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
          <section v-if="stored.document.note" class="sheet px-4 py-3">
            <h2 class="text-sm font-semibold text-ink-2">Note</h2>
            <p class="mt-1 italic">{{ stored.document.note }}</p>
          </section>
        </div>
      </div>
    </template>
    <SupplierDialog v-if="editing && stored" v-model="editing" :start="stored" />
  </div>
</template>
