<script setup lang="ts">
import { viewOf } from '#core/bench/plan/stepKinds'
import { idFrom } from '#core/words/reading'
import { ListOrdered, StickyNote, Undo2 } from '@lucide/vue'

/** The bench itself: steps at the left, one step large in the middle, heat and weights at the right. */
const { say } = storeToRefs(useWorkshop())
const bench = useBench()
const { step, plan, index, state, keeper, practising, guided } = bench
const emit = defineEmits<{ finish: [] }>()
const listOpen = ref(false)
const noteOpen = ref(false)
const emergency = ref(false)

const view = computed(() => (step.value ? viewOf(step.value) : 'end'))
/** Of the bench, while nothing has happened to anybody. */
const unless = (act: () => void) => () => {
  if (!emergency.value) act()
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
    <BenchTop v-model:emergency="emergency" />
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
      v-else-if="!keeper.leading.value"
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
        @click="keeper.takeOver(false)"
      >
        Lead from here
      </button>
      <button
        v-if="keeper.refused.value"
        type="button"
        class="min-h-11 px-2 underline"
        @click="keeper.takeOver(true)"
      >
        Lead, and write them too
      </button>
    </div>
    <div
      class="grid min-h-0 flex-1 grid-rows-[auto_1fr_auto] lg:grid-cols-[272px_1fr_330px] lg:grid-rows-1"
    >
      <aside class="hidden min-h-0 border-r border-line bg-[#1c2426] lg:flex lg:flex-col">
        <StepList class="min-h-0 flex-1" />
      </aside>
      <div class="flex items-center gap-3 border-b border-line bg-[#1c2426] px-4 lg:hidden">
        <button
          type="button"
          class="flex min-h-14 items-center gap-2 font-bold"
          :aria-expanded="listOpen"
          @click="listOpen = !listOpen"
        >
          <ListOrdered :size="22" aria-hidden="true" /> Step {{ index + 1 }} of
          {{ plan.steps.length }}
        </button>
        <div class="h-1.5 flex-1 bg-[#2d393b]">
          <i
            class="block h-full bg-[#7fb69b]"
            :style="{ width: `${(state.order.length / plan.steps.length) * 100}%` }"
          />
        </div>
        <button
          v-if="bench.takesBack.value"
          type="button"
          class="flex size-14 items-center justify-center"
          :aria-label="`Take back ${bench.takesBack.value}`"
          @click="bench.takeBack()"
        >
          <Undo2 :size="20" aria-hidden="true" />
        </button>
        <button
          type="button"
          class="flex min-h-14 items-center gap-1.5 px-2"
          :aria-expanded="noteOpen"
          @click="noteOpen = !noteOpen"
        >
          <StickyNote :size="20" aria-hidden="true" /> Note
        </button>
      </div>
      <main id="main" ref="main" class="flex min-h-0 min-w-0 flex-col">
        <EmergencyPanel v-if="emergency" @back="emergency = false" />
        <StepList
          v-else-if="listOpen"
          class="min-h-0 flex-1 lg:hidden"
          @picked="listOpen = false"
        />
        <template v-else>
          <GuideLine v-if="guided" />
          <SafetyCheckStep v-if="view === 'safety-check'" />
          <WeighStep v-else-if="view === 'weigh'" :key="step!.id" />
          <SpoonStep v-else-if="view === 'spoons'" :key="step!.id" />
          <HeatStep v-else-if="view === 'heat'" :key="step!.id" />
          <CheckStep v-else-if="view === 'check'" :key="step!.id" />
          <BatterStep v-else-if="view === 'batter'" :key="step!.id" />
          <PourStep v-else-if="view === 'pour'" :key="step!.id" />
          <DoStep v-else-if="view === 'do'" :key="step!.id" />
          <BenchEnd v-else @finish="emit('finish')" />
        </template>
        <NoteBox v-if="noteOpen" class="lg:hidden" @close="noteOpen = false" />
      </main>
      <aside
        class="min-h-0 overflow-y-auto border-line bg-[#1c2426] px-5 py-4 max-lg:max-h-[32dvh] max-lg:border-t max-sm:max-h-[24dvh] lg:border-l"
        :class="view === 'batter' || view === 'pour' ? 'max-sm:hidden' : ''"
        aria-label="Heat, weights and devices"
      >
        <div class="max-lg:grid max-lg:gap-x-8 md:max-lg:grid-cols-2">
          <HeatPanel />
          <div>
            <SoFar />
            <StandInPanel v-if="bench.devices.standInsOn.value && keeper.leading.value" />
            <DeviceChoice v-if="!practising" class="mt-4" />
            <NoteBox class="mt-4 max-lg:hidden" :open="noteOpen" @close="noteOpen = false" />
          </div>
        </div>
      </aside>
    </div>
  </div>
</template>
