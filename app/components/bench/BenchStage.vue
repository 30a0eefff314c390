<script setup lang="ts">
import { viewOf } from '#core/bench/plan/stepKinds'
import { idFrom } from '#core/words/reading'

/** The bench itself: steps at the left, one step large in the middle, heat and weights at the right. */
const { say } = storeToRefs(useWorkshop())
const bench = useBench()
const { step, plan, keeper, guided } = bench
const wide = useWideBench()
const emit = defineEmits<{ finish: [] }>()
const listOpen = ref(false)
const noteOpen = ref(false)
const emergency = ref(false)

const view = computed(() => (step.value ? viewOf(step.value) : 'end'))
/** Pots that are made one after the other: the row of them takes the place of the list. */
const atPots = computed(
  () =>
    plan.value.pots.length > 1 &&
    step.value !== null &&
    (view.value === 'batter' || view.value === 'pour' || step.value.pot !== undefined) &&
    view.value !== 'weigh' &&
    view.value !== 'heat' &&
    view.value !== 'spoons',
)
const takingOver = ref<'plain' | 'with-refused' | null>(null)
/** Where lye is about, whoever takes over sees first what stands where. */
function lead(withRefused: boolean) {
  if (bench.lyeIsAbout.value) takingOver.value = withRefused ? 'with-refused' : 'plain'
  else keeper.takeOver(withRefused)
}
/** Of the bench, while nothing has happened to anybody. */
const unless = (act: () => void) => () => {
  if (!emergency.value && !takingOver.value) act()
}
useBenchKeys({
  e: () => (emergency.value = !emergency.value),
  z: unless(bench.takeBack),
  n: unless(() => (noteOpen.value = !noteOpen.value)),
  ArrowLeft: unless(() => bench.look(-1)),
  ArrowRight: unless(() => bench.look(1)),
  ArrowUp: unless(() => bench.look(-1)),
  ArrowDown: unless(() => bench.look(1)),
})
const leader = computed(() => {
  const drove = keeper.events.value.findLast((event) => event.kind === 'drove')
  return drove?.kind === 'drove' ? drove.name : 'Another device'
})
const main = ref<HTMLElement>()
watch(
  () => step.value?.id,
  () => {
    listOpen.value = false
    // What had the focus may be gone; the keys work from the page itself.
    if (
      document.activeElement instanceof HTMLElement &&
      main.value?.contains(document.activeElement)
    )
      document.activeElement.blur()
  },
)
/** All of a batch that the workshop no longer knows, to be written up by hand. */
function saveEntries() {
  const text = JSON.stringify({ run: bench.run, events: keeper.events.value }, null, 2)
  download(`${idFrom(bench.name)}-bench.json`, `${text}\n`)
}
</script>

<template>
  <div data-theme="bench" class="flex h-dvh flex-col bg-[#161c1e] text-ink">
    <BenchTop v-model:emergency="emergency" v-model:list="listOpen" v-model:note="noteOpen" />
    <div
      v-if="keeper.state.value === 'stranded'"
      role="alert"
      class="flex flex-wrap items-center gap-3 bg-[#4a2a24] px-5 py-2 text-[16px]"
    >
      <span>
        The workshop was put back to a state in which this batch does not exist. Go on if you must;
        all
        {{ keeper.waiting.value }} entries are on this device, and nowhere else.
      </span>
      <button
        type="button"
        class="min-h-11 bg-chalk px-4 font-bold text-[#182022]"
        @click="saveEntries"
      >
        Save them as a file
      </button>
    </div>
    <div
      v-else-if="!keeper.leading.value && !takingOver"
      role="status"
      class="flex flex-wrap items-center gap-3 bg-[#24384a] px-5 py-2 text-[16px]"
    >
      <span>
        {{ leader }} leads; this screen follows.
        <template v-if="keeper.refused.value">
          {{ say.count(keeper.refused.value, 'entry', 'entries') }} from this device
          {{ say.plural(keeper.refused.value, 'was', 'were') }} not written.</template
        >
      </span>
      <button
        type="button"
        class="min-h-11 bg-chalk px-4 font-bold text-[#182022]"
        @click="lead(false)"
      >
        Lead from here
      </button>
      <button
        v-if="keeper.refused.value"
        type="button"
        class="min-h-11 px-2 underline"
        @click="lead(true)"
      >
        Lead, and write them too
      </button>
    </div>
    <PotRow v-if="atPots" v-model:list="listOpen" class="low:hidden" />
    <div
      class="grid min-h-0 flex-1"
      :class="
        !wide
          ? 'grid-rows-[auto_minmax(0,1fr)] low:grid-rows-1'
          : atPots
            ? 'grid-cols-[minmax(0,1fr)_380px]'
            : 'grid-cols-[272px_minmax(0,1fr)_330px]'
      "
    >
      <aside
        v-if="wide && !atPots"
        class="flex min-h-0 flex-col border-r border-line bg-[#1c2426]"
        aria-label="The plan"
      >
        <StepList class="min-h-0 flex-1" />
      </aside>
      <BenchBar v-if="!wide" v-model:list="listOpen" v-model:note="noteOpen" class="low:hidden" />
      <main id="main" ref="main" class="flex min-h-0 min-w-0 flex-col">
        <EmergencyPanel v-if="emergency" @back="emergency = false" />
        <TakeOverPanel
          v-else-if="takingOver"
          :with-refused="takingOver === 'with-refused'"
          @back="takingOver = null"
        />
        <StepList
          v-else-if="listOpen && (atPots || !wide)"
          class="min-h-0 flex-1"
          @picked="listOpen = false"
        />
        <template v-else>
          <GuideLine v-if="guided" />
          <BenchView @finish="emit('finish')" />
        </template>
        <NoteBox v-if="noteOpen && !wide" @close="noteOpen = false" />
      </main>
      <aside
        v-if="wide"
        class="min-h-0 overflow-y-auto border-l border-line bg-[#1c2426] px-5 py-4"
        aria-label="Heat, weights and devices"
      >
        <div id="bench-pad" />
        <PotSide v-if="atPots" />
        <BenchSide v-model:note="noteOpen" />
      </aside>
    </div>
  </div>
</template>
