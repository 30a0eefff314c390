<script setup lang="ts">
import { Search, Settings2 } from '@lucide/vue'
import { jobsIn } from '#core/rack/due'
import { isDrying, standingOf } from '#core/rack/standing'
import { stations } from '~/utils/stations'

const workshop = useWorkshop()
const batches = useBatches()
const outbox = useOutbox()
const palette = usePalette()
const keyHelp = useKeyHelp()
const router = useRouter()
const route = useRoute()

const jars = useJarsDue()
/** Lots with something that is to be minded. */
const minded = ref(0)
const counted: Record<string, string> = {
  Shelf: 'due today',
  Rack: 'batches drying',
  Scents: 'round of noses due',
  Stores: 'lots to mind',
}
const here = (path: string) => (path === '/' ? route.path === '/' : route.path.startsWith(path))
const count = computed((): Record<string, number> => {
  const { today } = workshop
  if (!today) return {}
  const onRack = batches.list.filter((batch) => isDrying(standingOf(batch, today)))
  return {
    Shelf: jobsIn(batches.due.today),
    Rack: onRack.length,
    // However many jars: they are one round.
    Scents: jars.due.value ? 1 : 0,
    Stores: minded.value,
  }
})

onMounted(() => {
  void batches.load()
  void jars.load()
  void api
    .get<{ lots: number }>('/api/stores/minded')
    .then((told) => (minded.value = told.lots))
    .catch(() => undefined)
})
/** Its box is loaded when it is first asked for. */
function find() {
  typeAhead()
  palette.value = true
}
useShortcuts({
  '/': find,
  '?': () => (keyHelp.value = true),
  ...Object.fromEntries(
    stations.map(({ key, path }) => [`g ${key}`, () => void router.push(path)]),
  ),
})
</script>

<template>
  <header class="flex h-[52px] items-stretch bg-slate px-3 text-[#dfe6e4] sm:px-5">
    <a
      href="#main"
      class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-chalk focus:p-3 focus:text-[#182022]"
      >To the content</a
    >
    <NuxtLink
      to="/"
      class="mr-2 flex items-center gap-2.5 text-[17px] font-bold text-white lg:mr-7"
    >
      <span class="chamfer h-4 w-[26px] bg-chalk" style="--cut: 4px" />
      <span class="max-lg:sr-only">Mantle</span>
    </NuxtLink>
    <span class="self-center text-[18px] font-bold text-white sm:hidden" aria-hidden="true">{{
      stations.find(({ path }) => here(path))?.name ?? 'Mantle'
    }}</span>
    <nav
      aria-label="Stations"
      class="flex min-w-0 overflow-x-auto max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-30 max-sm:bg-slate max-sm:pb-[env(safe-area-inset-bottom)]"
    >
      <NuxtLink
        v-for="station in stations"
        :key="station.path"
        :to="station.path"
        :aria-current="here(station.path) ? 'page' : undefined"
        class="relative flex items-center font-medium max-sm:min-h-16 max-sm:flex-1 max-sm:flex-col max-sm:justify-center max-sm:gap-1 max-sm:text-[13px] sm:px-2 md:px-2.5 lg:px-4"
        :class="here(station.path) ? 'text-white' : 'text-[#b9c5c3] hover:text-white'"
      >
        <component :is="station.icon" :size="24" class="sm:hidden" aria-hidden="true" />
        {{ station.name }}
        <b
          v-if="count[station.name]"
          class="rounded-lg bg-[#3b484a] px-1.5 font-mono text-[11px] font-semibold text-chalk max-sm:absolute max-sm:top-1.5 max-sm:left-1/2 max-sm:ml-2 max-sm:bg-chalk max-sm:text-[#182022] sm:ml-1 lg:ml-1.5"
          >{{ count[station.name] }}<span class="sr-only"> {{ counted[station.name] }}</span></b
        >
        <i
          v-if="here(station.path)"
          class="absolute inset-x-2.5 bottom-0 h-1 bg-chalk max-sm:top-0 max-sm:bottom-auto"
        />
      </NuxtLink>
    </nav>
    <div class="flex-1" />
    <span
      v-if="outbox.waiting.length"
      role="status"
      class="self-center px-2 text-sm font-semibold text-[#f3c24b]"
      >{{ outbox.waiting.length }} not sent yet</span
    >
    <span
      v-if="keptSince"
      role="status"
      class="self-center px-2 text-sm font-semibold text-[#f3c24b]"
      >Mantle is away: as of {{ workshop.timeOf(keptSince) }}</span
    >
    <div class="flex shrink-0 items-center gap-2 text-[#b9c5c3] lg:gap-4">
      <NuxtLink
        to="/workshop"
        :aria-current="here('/workshop') ? 'page' : undefined"
        class="relative flex items-center justify-center gap-2 rounded-sm px-1.5 py-1 hover:text-white focus-visible:outline-chalk max-sm:min-h-11 max-sm:min-w-11"
        :class="here('/workshop') ? 'text-white' : ''"
      >
        <Settings2 :size="16" aria-hidden="true" />
        <span class="sr-only">Workshop settings, now</span>
        <span class="max-[430px]:sr-only sm:max-lg:sr-only">{{
          `${workshop.say.massUnit} · °${workshop.say.degrees}`
        }}</span>
        <i
          v-if="here('/workshop')"
          class="absolute inset-x-0 -bottom-[9px] h-1 bg-chalk max-sm:bottom-0"
        />
      </NuxtLink>
      <button
        type="button"
        class="flex items-center justify-center gap-3 rounded-sm px-1.5 py-1 hover:text-white focus-visible:outline-chalk max-sm:min-h-11 max-sm:min-w-11"
        @click="find"
      >
        <Search :size="24" class="lg:hidden" aria-hidden="true" />
        <span class="max-lg:sr-only">Find or do</span>
        <kbd class="border-[#6d7b7c] max-lg:hidden">/</kbd>
      </button>
    </div>
  </header>
</template>
