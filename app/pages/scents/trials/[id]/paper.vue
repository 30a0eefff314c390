<script setup lang="ts">
import type { WholeTrial } from '#contracts/trial'
import { eventsFromPad, padFaults, type PadLine } from '#core/trials/fromPaper'

/** A trial day written up from its paper pad, in one pass: a line a pot, its own minutes across. */
const route = useRoute()
const router = useRouter()
const workshop = useWorkshop()
const trials = useTrials()
const toasts = useToasts()
const id = String(route.params.id)
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
useHead({ title: 'Write up a trial day · Mantle' })
const stages = [
  { id: 'light', says: 'Light' },
  { id: 'medium', says: 'Medium' },
  { id: 'thick', says: 'Thick' },
  { id: 'too-far', says: 'Won’t pour' },
] as const
interface Pad {
  time: string
  until: number
  lines: PadLine[]
}
const key = `mantle-trial-pad-${id}`
const pad = ref<Pad>({ time: '10:00', until: 60, lines: [] })
const blank = (): PadLine => ({
  batter: null,
  scent: null,
  zero: null,
  stages: {},
  riced: null,
  smooth: null,
  note: '',
})
onMounted(async () => {
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id}`)
    const kept = keptHere(key, (value) =>
      value && typeof value === 'object' && 'lines' in value && Array.isArray(value.lines)
        ? (value as Pad)
        : null,
    )
    const { pots } = trial.value.document
    pad.value =
      kept?.lines.length === pots.length
        ? kept
        : {
            time: '10:00',
            until: trial.value.document.minutes,
            lines: pots.map((pot) => ({ ...blank(), batter: pot.grams })),
          }
    watch(pad, (now) => void keepHere(key, now), { deep: true })
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const faults = computed(() =>
  trial.value && pad.value.lines.length ? padFaults(trial.value.document, pad.value.lines) : [],
)
const told = ref(false)
const eventIds: string[] = []
async function keep() {
  told.value = true
  if (!trial.value || faults.value.length) return
  const { document } = trial.value
  const startedAt = Date.parse(instantAt(document.day, pad.value.time, workshop.settings.timeZone))
  // A second press after a lost answer tells the same things.
  let at = 0
  const events = eventsFromPad(document, pad.value.lines, {
    startedAt,
    until: pad.value.until,
    newId: () => (eventIds[at++] ??= newId()),
  })
  try {
    await api.post(`/api/trials/${id}/events`, { events })
    forgetHere(key)
    await trials.again()
    await router.push(`/scents/trials/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <form v-else-if="trial" @submit.prevent="keep">
      <div class="mb-3 flex flex-wrap items-end gap-4">
        <div class="mr-auto">
          <h1>Trial day {{ trial.document.number }}, from its pad</h1>
          <p class="text-ink-2">
            Minutes by the pot’s own clock, from when its scent went in; a plain pot’s from when lye
            and oils met. What stays empty was never seen.
          </p>
        </div>
        <FieldRow says="Lye met oils at">
          <input v-model="pad.time" type="time" class="field font-normal" required />
        </FieldRow>
        <LabelledNumber
          says="Watched until minute"
          :decimals="0"
          :min="5"
          :max="240"
          :model-value="pad.until"
          @update:model-value="pad.until = $event ?? 60"
        />
        <AppButton kind="main" @click="keep">Write it up</AppButton>
      </div>
      <ul v-if="told && faults.length" role="alert" class="mb-2 font-semibold text-stop">
        <li v-for="fault in faults" :key="fault.says">{{ fault.says }}</li>
      </ul>
      <div class="sheet overflow-x-auto px-3 py-2" tabindex="0" role="group" aria-label="The pad">
        <table class="w-full">
          <thead>
            <tr class="text-left text-sm text-ink-2">
              <th scope="col" class="pr-2">Pot</th>
              <th scope="col">Batter g</th>
              <th scope="col">Scent g</th>
              <th scope="col">In at min</th>
              <th v-for="stage in stages" :key="stage.id" scope="col">{{ stage.says }}</th>
              <th scope="col">Rices</th>
              <th scope="col">Smooth</th>
              <th scope="col">Note</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="(line, at) in pad.lines"
              :key="trial.document.pots[at]!.code"
              class="border-t border-line-2"
              :class="told && faults.some((fault) => fault.line === at) ? 'bg-stop-ground' : ''"
            >
              <th scope="row" class="py-1 pr-2 text-left">
                <span class="figure underline underline-offset-2">{{
                  trial.document.pots[at]!.code
                }}</span>
                <span class="block text-sm font-normal text-ink-2">{{
                  trial.document.pots[at]!.name
                }}</span>
              </th>
              <td>
                <NumberField
                  v-model="line.batter"
                  :label="`Batter of ${trial.document.pots[at]!.code}`"
                  class="w-20"
                  :decimals="2"
                />
              </td>
              <td>
                <NumberField
                  v-if="trial.document.pots[at]!.scentId"
                  v-model="line.scent"
                  :label="`Scent of ${trial.document.pots[at]!.code}`"
                  class="w-20"
                  :decimals="2"
                />
              </td>
              <td>
                <NumberField
                  v-if="trial.document.pots[at]!.scentId"
                  v-model="line.zero"
                  :label="`Minute at which the scent of ${trial.document.pots[at]!.code} went in`"
                  class="w-20"
                />
              </td>
              <td v-for="stage in stages" :key="stage.id">
                <NumberField
                  :model-value="line.stages[stage.id] ?? null"
                  :label="`${stage.says}, ${trial.document.pots[at]!.code}`"
                  class="w-20"
                  @update:model-value="line.stages[stage.id] = $event"
                />
              </td>
              <td>
                <NumberField
                  v-model="line.riced"
                  :label="`Riced from, ${trial.document.pots[at]!.code}`"
                  class="w-20"
                />
              </td>
              <td>
                <NumberField
                  v-model="line.smooth"
                  :label="`Smooth again, ${trial.document.pots[at]!.code}`"
                  class="w-20"
                />
              </td>
              <td>
                <input
                  v-model="line.note"
                  class="field !w-40"
                  maxlength="500"
                  :aria-label="`Note on ${trial.document.pots[at]!.code}`"
                />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </form>
  </div>
</template>
