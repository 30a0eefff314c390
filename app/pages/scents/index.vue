<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import type { ScentRow } from '~/composables/useScentRows'
import { claimsOf } from '~/utils/scentWords'

/** What the workshop knows of its scents: what they did here first, then what was said of them. */
useHead({ title: 'Scents · Mantle' })
const workshop = useWorkshop()
const { say, settings } = storeToRefs(workshop)
const toasts = useToasts()
const { rows, plainMinuteOf, learnedOn, load, loaded, problem } = useScentRows()
onMounted(() => void load())

/* What is looked for stands in the address: it outlives a reload and can be sent to somebody. */
const route = useRoute()
const router = useRouter()
const filter = reactive({
  time: String(route.query.time ?? ''),
  lasts: String(route.query.lasts ?? ''),
  colour: String(route.query.colour ?? ''),
  sort: String(route.query.sort ?? 'learned'),
  find: String(route.query.find ?? ''),
})
watch(filter, (now) => {
  const set = Object.entries(now).filter(([key, value]) => value && value !== 'learned' && key)
  void router.replace({ query: Object.fromEntries(set) })
})
const times = [
  { is: '', says: 'any time', fits: () => true },
  {
    is: 'calm',
    says: '30 min or more',
    fits: (minutes: number | null) => minutes === null || minutes >= 30,
  },
  {
    is: 'usual',
    says: '15 min or more',
    fits: (minutes: number | null) => minutes === null || minutes >= 15,
  },
  {
    is: 'sets',
    says: 'under 15 min',
    fits: (minutes: number | null) => minutes !== null && minutes < 15,
  },
]
const lasting = [
  { is: '', says: 'any day' },
  ...[14, 30, 60, 90].map((day) => ({ is: String(day), says: `day ${day}` })),
]
const colours = [
  { is: '', says: 'any colour', most: Infinity },
  { is: 'pale', says: 'as it was', most: 2 },
  { is: 'slight', says: 'nearly as it was', most: 5 },
]
const sorts = [
  { is: 'learned', says: 'Last learned first' },
  { is: 'name', says: 'By name' },
  { is: 'slow', says: 'Slow to fast' },
  { is: 'place', says: 'By place in the drawer' },
]

/** Whether a scent did what is asked for; of one that was not tried nobody knows. */
function fits({ known, finding, scent, supplier }: ScentRow): boolean {
  const text = `${scent.name} ${supplier} ${scent.code ?? ''} ${scent.smells.join(' ')}`
  if (filter.find && !text.toLowerCase().includes(filter.find.trim().toLowerCase())) return false
  const tried = Boolean(known?.tried.length)
  if (filter.time)
    if (!tried || !times.find(({ is }) => is === filter.time)?.fits(finding.minutes)) return false
  if (filter.lasts) {
    const day = Number(filter.lasts)
    const on = known?.strength.find((one) => one.day >= day)
    if (!on || on.middle < 1.5) return false
  }
  if (filter.colour) {
    const latest = known?.colour.at(-1)
    const most = colours.find(({ is }) => is === filter.colour)?.most ?? Infinity
    if (!latest || latest.from > most) return false
  }
  return true
}
const byName = (a: ScentRow, b: ScentRow) => a.scent.name.localeCompare(b.scent.name)
const orders: Record<string, (a: ScentRow, b: ScentRow) => number> = {
  learned: (a, b) =>
    learnedOn(b.id).localeCompare(learnedOn(a.id)) ||
    Number(Boolean(b.known?.judged.some(({ held }) => !held))) -
      Number(Boolean(a.known?.judged.some(({ held }) => !held))) ||
    byName(a, b),
  name: byName,
  slow: (a, b) =>
    (b.finding.minutes ?? (b.pot ? 999 : -1)) - (a.finding.minutes ?? (a.pot ? 999 : -1)),
  place: (a, b) =>
    (a.scent.drawer ?? '~').localeCompare(b.scent.drawer ?? '~', 'en', { numeric: true }),
}
const fitting = computed(() => rows.value.filter(fits).sort(orders[filter.sort] ?? orders.learned))
const listed = computed(() => fitting.value.filter(({ allowed }) => allowed !== false))
const barred = computed(() => fitting.value.filter(({ allowed }) => allowed === false))
const showBarred = ref(false)
const shown = computed(() => (showBarred.value ? [...barred.value, ...listed.value] : listed.value))
const tried = computed(() => rows.value.filter(({ known }) => known?.tried.length).length)
const inDrawer = computed(() => rows.value.filter(({ scent }) => scent.drawer).length)
const percent = (share: number) => say.value.percent(share, 1)

const chosen = ref<string | null>(null)
watch(shown, (now) => (chosen.value ??= now[0]?.id ?? null), { immediate: true })
function choose(id: string) {
  chosen.value = id
  document.querySelector(`[data-scent="${id}"]`)?.scrollIntoView({ block: 'nearest' })
}
const setRate = useDebounceFn(async (rate: number | null) => {
  if (rate === null || rate === settings.value.scentRate) return
  try {
    await workshop.save({ scentRate: rate })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}, 500)
const editing = ref(false)
const field = 'field !w-auto py-1 font-bold'
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <div v-if="!loaded || rows.length" class="mb-3 flex flex-wrap items-center gap-2">
      <h1>Scents</h1>
      <p class="mr-auto ml-1 text-ink-2">
        {{ say.number(inDrawer) }} in the drawer, {{ say.number(tried) }} tried in our own batter
      </p>
      <input
        v-if="rows.length"
        v-model="filter.find"
        type="search"
        placeholder="Name, code, smell"
        aria-label="Find a scent by its name, code, supplier or smell"
        class="field !w-44 py-1.5"
      />
      <AppButton to="/scents/colours">Colours</AppButton>
      <AppButton v-if="tried" to="/scents/found">What the trials found</AppButton>
      <AppButton @click="editing = true">Add a scent</AppButton>
      <AppButton kind="main" to="/scents/trials/new">Plan a trial day</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <ScentsEmpty v-if="loaded && !rows.length" @add="editing = true" />
    <template v-else-if="loaded">
      <div
        class="mb-3 flex flex-wrap items-center gap-x-2 gap-y-1.5 rounded-md bg-[#e2e9e5] px-4 py-2 text-[16px] dark:bg-slate-2"
      >
        <label class="contents">
          Show scents that may go in at
          <NumberField
            kind="percent"
            label="Share of the oils"
            class="w-24"
            :min="0.001"
            :max="0.2"
            :model-value="settings.scentRate"
            @update:model-value="setRate"
          />
        </label>
        <label class="contents">
          of oils, leave
          <select v-model="filter.time" :class="field">
            <option v-for="one in times" :key="one.is" :value="one.is">{{ one.says }}</option>
          </select>
        </label>
        <label class="contents">
          to medium, last to
          <select v-model="filter.lasts" :class="field">
            <option v-for="one in lasting" :key="one.is" :value="one.is">{{ one.says }}</option>
          </select>
        </label>
        <label class="contents">
          and leave the bar
          <select v-model="filter.colour" :class="field">
            <option v-for="one in colours" :key="one.is" :value="one.is">{{ one.says }}</option>
          </select>
        </label>
        <b class="figure ml-auto"
          >{{ say.number(listed.length) }} of {{ say.number(rows.length) }}</b
        >
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_386px]">
        <section class="sheet overflow-hidden" aria-label="Scents">
          <div
            class="grid items-center gap-x-4 border-b border-line px-4 py-2 text-sm text-ink-2 lg:grid-cols-[284px_240px_minmax(0,1fr)_104px]"
          >
            <label class="font-semibold text-ink">
              <span class="sr-only">In which order</span>
              <select v-model="filter.sort" class="bg-transparent font-semibold">
                <option v-for="one in sorts" :key="one.is" :value="one.is">{{ one.says }}</option>
              </select>
            </label>
            <span class="max-lg:hidden">0 to 60 min in our batter, dotted: plain</span>
            <span class="max-lg:hidden">The supplier said</span>
            <span class="text-right max-lg:hidden"
              >At {{ percent(settings.scentRate) }} of oils</span
            >
          </div>
          <ol
            class="max-h-[max(380px,calc(100dvh-300px))] overflow-y-auto"
            tabindex="0"
            aria-label="Scents that fit"
          >
            <li
              v-for="row in shown"
              :key="row.id"
              :data-scent="row.id"
              class="relative grid items-center gap-x-4 gap-y-1 border-b border-line-2 px-4 py-[5px] hover:bg-band lg:grid-cols-[284px_240px_minmax(0,1fr)_104px]"
            >
              <i v-if="row.id === chosen" class="absolute inset-y-0 left-0 w-1 bg-act" />
              <NuxtLink :to="`/scents/${row.id}`" class="group flex min-w-0 items-center gap-3.5">
                <SmallPot class="size-[50px]" :look="row.look" :colour="row.batter" />
                <span class="min-w-0">
                  <span class="block truncate text-ink-2">
                    {{ row.scent.name
                    }}<template v-if="row.supplier"> · {{ row.supplier }}</template>
                  </span>
                  <b class="block text-[16px] leading-5 group-hover:underline">{{
                    row.finding.says
                  }}</b>
                </span>
              </NuxtLink>
              <span>
                <StageRibbon
                  v-if="row.stretches.length"
                  :stretches="row.stretches"
                  :colour="row.scent.colour"
                  :plain="plainMinuteOf(row.pot)"
                  :riced="row.pot?.riced"
                  :height="26"
                />
                <span class="block min-h-[18px] text-[13.5px] text-ink-2">{{
                  row.finding.more ||
                  (row.scent.sample ? `${say.amount(row.scent.sample.left)} left` : '')
                }}</span>
              </span>
              <span class="text-[13.5px]"
                ><ClaimMarks :claims="claimsOf(row.scent, row.known)"
              /></span>
              <span class="text-right leading-5 max-lg:text-left">
                <template v-if="row.allowed === null"
                  ><b class="text-warn">nobody knows</b
                  ><small class="block text-[13px] text-ink-2">no maximum</small></template
                >
                <template v-else>
                  <b :class="row.allowed ? '' : 'text-warn'">{{ row.allowed ? 'yes' : 'no' }}</b>
                  <small class="figure block text-[13px] text-ink-2"
                    >up to {{ percent(row.most!) }}</small
                  >
                </template>
              </span>
            </li>
          </ol>
          <p v-if="!shown.length" class="px-4 py-6 text-center text-ink-2">
            None of {{ say.count(rows.length, 'scent', 'scents') }} is like that.
          </p>
          <div
            v-if="barred.length"
            class="flex items-center gap-4 border-t border-[#ecc9a3] bg-warn-ground px-4 py-2.5"
          >
            <span class="text-warn" aria-hidden="true">▲</span>
            <p class="flex-1">
              <b
                >{{ say.count(barred.length, 'may not go in', 'may not go in') }} at
                {{ percent(settings.scentRate) }}:</b
              >
              {{
                say.list(
                  barred.map(
                    ({ scent, most }) =>
                      `${scent.name} up to ${say.number(most! * 100, undefined, 1)}`,
                  ),
                )
              }}
            </p>
            <button type="button" class="link font-bold" @click="showBarred = !showBarred">
              {{ showBarred ? 'Leave them out' : 'Show them' }}
            </button>
          </div>
        </section>
        <div class="grid gap-3">
          <NosesCard />
          <section class="sheet px-4 py-3">
            <div class="mb-1 flex items-baseline gap-2">
              <h2 class="flex-1 text-sm font-semibold text-ink-2">The drawer</h2>
              <span class="text-sm text-ink-2"
                >rim: minutes to medium · grey: not at {{ percent(settings.scentRate) }}</span
              >
            </div>
            <DrawerPlan :rows="rows" :chosen="chosen" @choose="choose" />
          </section>
          <SuppliersCard />
        </div>
      </div>
    </template>
    <ScentDialog v-if="editing" v-model="editing" :start="null" />
  </div>
</template>
