<script setup lang="ts">
import type { WholeTrial } from '#contracts/trial'
import { clockText } from '#core/scents/finding'
import { dosedTooLong } from '#core/trials/clocks'

/** A trial day at the bench: batter into the pots, scent into each, then one clock and one key for what is seen. */
const { trial } = defineProps<{ trial: WholeTrial }>()
const round = useTrialRound(trial)
const { document, keeper, clock, pots, going, running } = round
const { say } = storeToRefs(useWorkshop())
/** The scale of the bench, where there is one; its stand-in weighs to what this day's scale shows. */
const devices = useDevices(
  trial.id,
  () => ({
    at: new Date(useWorkshop().clock()).toISOString(),
    speed: 1,
    roomC: document.roomC,
    resolution: document.scale,
    most: 5000,
    seed: document.number,
  }),
  false,
)
const router = useRouter()
const trials = useTrials()

type View = 'batter' | 'scent' | 'look'
const asked = ref<View | null>(null)
const weighed = computed(() => pots.value.every(({ state }) => state.batter !== null))
const dosed = computed(() =>
  pots.value.every(({ scentId, state }) => !scentId || state.zero !== null),
)
const view = computed(
  (): View => asked.value ?? (!weighed.value ? 'batter' : !dosed.value ? 'scent' : 'look'),
)
watch([weighed, dosed], () => (asked.value = null))
const views = [
  { is: 'batter', says: 'Batter' },
  { is: 'scent', says: 'Scents' },
  { is: 'look', says: 'Look' },
] as const
const lidded = computed(() => pots.value.length - going.value.length)
const over = computed(
  () =>
    clock.value !== null &&
    running.value.length > 0 &&
    running.value.every(({ own }) => own! >= document.minutes),
)
const tooLong = computed(() => dosed.value && dosedTooLong(round.round.value.pots))

const noteOf = ref<number | null | undefined>(undefined)
const note = ref('')
const chips = ['warm', 'smells of nothing', 'smells sharp', 'darker', 'oil on top', 'lumps']
const photos = ref<string[]>([])
function keepNote() {
  const [photo = null] = photos.value
  const says = note.value.trim() || (photo ? 'Photo' : '')
  if (says) keeper.tell({ kind: 'noted', pot: noteOf.value ?? null, says, photo })
  note.value = ''
  photos.value = []
  noteOf.value = undefined
}
async function end() {
  keeper.tell({ kind: 'ended' })
  await trials.again()
  await router.push(`/scents/trials/${trial.id}`)
}
const ending = ref(false)
const status = computed(() =>
  keeper.state.value === 'cut-off'
    ? keeper.safe.value
      ? `Mantle is away. ${say.value.count(keeper.waiting.value, 'entry waits', 'entries wait')} on this device.`
      : 'Mantle is away, and this browser keeps nothing: leave this window open.'
    : '',
)
</script>

<template>
  <div class="flex h-[100dvh] flex-col overflow-hidden bg-ground text-ink" data-theme="bench">
    <header class="flex items-center gap-3 bg-[#11181a] px-3 py-2 sm:px-6">
      <div class="min-w-0 flex-1 leading-tight">
        <h1 class="truncate text-[16px] font-bold text-ink sm:text-[20px]">
          Trial day {{ document.number }}, {{ document.formula.name }}
        </h1>
        <p class="text-[14px] text-ink-2 sm:text-[15px]">
          <template v-if="clock === null">not begun</template>
          <template v-else
            >{{ say.number(going.length) }} in the round<template v-if="lidded">
              · {{ say.number(lidded) }} with their lid</template
            ></template
          >
        </p>
      </div>
      <p
        v-if="clock !== null"
        class="figure text-[40px] leading-none font-bold sm:text-[64px] low:text-[36px]"
        role="timer"
        aria-label="Since lye and oils met"
      >
        {{ clockText(clock) }}
      </p>
      <p class="flex-1 text-right text-[14px] font-semibold text-[#f3c24b] sm:text-[16px]">
        <span aria-hidden="true">▲</span> Gloves stay on<span class="max-sm:hidden"
          >, raw batter burns</span
        >
      </p>
    </header>
    <p v-if="status" role="alert" class="bg-[#5a3a08] px-4 py-1 font-semibold text-white">
      {{ status }}
    </p>
    <p
      v-if="tooLong && view === 'look'"
      role="status"
      class="bg-[#3b3216] px-4 py-1 text-[#f3c24b]"
    >
      Dosing took over a fifth of the plain batter’s time: the last pots got older batter than the
      first. It is said with the results.
    </p>
    <section v-if="clock === null" class="m-auto max-w-xl px-5 py-6 text-center">
      <h2 class="text-[30px] font-bold text-ink">
        When lye and oils meet, the shared clock begins
      </h2>
      <p class="mt-3 text-[18px] text-ink-2">
        Goggles and gloves on, sleeves down, water running, nobody else at the bench. Lye goes into
        the oils, never the other way. The batter is raw: it burns for an hour and more.
      </p>
      <p class="mt-2 text-[18px] text-ink-2">
        {{ say.count(document.pots.length, 'pot', 'pots') }}, caps loosened, labels on. Local rules
        for lye come first.
      </p>
      <button
        type="button"
        class="chamfer mt-6 min-h-20 bg-[#f2ead6] px-10 text-[22px] font-bold text-[#182022]"
        @click="keeper.tell({ kind: 'began', paper: false })"
      >
        They have met: start the clock
      </button>
      <p class="mt-5">
        <NuxtLink :to="`/scents/trials/${trial.id}`" class="inline-block min-h-11 underline"
          >Back to the plan</NuxtLink
        >
      </p>
    </section>
    <template v-else>
      <div class="flex items-center gap-1 px-3 pt-2 sm:px-6 low:pt-1">
        <button
          v-for="one in views"
          :key="one.is"
          type="button"
          class="min-h-11 px-4 font-semibold"
          :class="view === one.is ? 'bg-[#f2ead6] text-[#182022]' : 'bg-[#2d393b]'"
          :aria-pressed="view === one.is"
          @click="asked = one.is"
        >
          {{ one.says }}
        </button>
        <span class="flex-1" />
        <button type="button" class="min-h-11 px-3 underline" @click="noteOf = null">Note</button>
        <button
          type="button"
          class="min-h-11 px-4 font-semibold"
          :class="over ? 'bg-[#f2ead6] text-[#182022]' : 'border border-line-3'"
          @click="ending = true"
        >
          End<span class="max-sm:sr-only"> the round</span>
        </button>
      </div>
      <RoundLook v-if="view === 'look'" :round="round" @note="noteOf = $event" />
      <RoundWeigh
        v-else
        :key="view"
        :round="round"
        :what="view"
        :devices="devices"
        @look="asked = 'look'"
      />
    </template>
    <AppDialog
      v-if="noteOf !== undefined"
      :model-value="true"
      :title="noteOf === null ? 'A note on the day' : `A note on ${document.pots[noteOf]!.code}`"
      @update:model-value="noteOf = undefined"
    >
      <form class="grid gap-3 px-5 py-4" @submit.prevent="keepNote">
        <p class="flex flex-wrap gap-2">
          <button
            v-for="chip in chips"
            :key="chip"
            type="button"
            class="min-h-11 rounded-sm border border-line-3 px-3"
            @click="note = note ? `${note}, ${chip}` : chip"
          >
            {{ chip }}
          </button>
        </p>
        <FieldRow says="What you see">
          <textarea v-model="note" class="field font-normal" rows="3" maxlength="500" />
        </FieldRow>
        <PhotoField v-model="photos" :of="`trials/${trial.id}`" :most="1" />
        <div class="flex justify-end gap-3">
          <AppButton @click="noteOf = undefined">Cancel</AppButton>
          <AppButton kind="main" @click="keepNote">Keep it</AppButton>
        </div>
      </form>
    </AppDialog>
    <AppDialog v-if="ending" v-model="ending" title="End the round?">
      <div class="grid gap-3 px-5 py-4">
        <p>
          <template v-if="running.length"
            >{{ say.count(running.length, 'pot still pours', 'pots still pour') }}: they count as
            longer than they were watched.</template
          >
          Lids on all of them, gloves stay on until everything is wiped. Treat the pots as the loaf.
        </p>
        <div class="flex justify-end gap-3">
          <AppButton @click="ending = false">Go on looking</AppButton>
          <AppButton kind="main" @click="end">End it</AppButton>
        </div>
      </div>
    </AppDialog>
  </div>
</template>
