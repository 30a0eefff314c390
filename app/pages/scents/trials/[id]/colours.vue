<script setup lang="ts">
import type { WholeTrial, TrialEvent } from '#contracts/trial'
import {
  differenceOf,
  differenceWord,
  faultOf,
  labOf,
  swatchOf,
  type PatchFault,
} from '#core/scents/colour'
import { daysBetween } from '#core/units/days'
import { patchAt, photoCanvas } from '~/utils/photoPatch'

/** A photo of a sample beside the plain one: two points, or three with a card, and how far apart they are to the eye. */
const route = useRoute()
const workshop = useWorkshop()
const toasts = useToasts()
const trials = useTrials()
const { say } = storeToRefs(workshop)
const id = computed(() => String(route.params.id))
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
useHead({ title: 'A colour in a photo · Mantle' })
const pot = ref<number | null>(null)
async function load() {
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id.value}`)
    pot.value ??= trial.value.found.find(({ scentId }) => scentId)?.pot ?? null
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)
const scented = computed(() => trial.value?.found.filter(({ scentId }) => scentId) ?? [])
const chosen = computed(() => scented.value.find((one) => one.pot === pot.value) ?? null)
const day = computed(() =>
  trial.value ? Math.max(0, daysBetween(trial.value.document.day, workshop.today)) : 0,
)

const canvas = shallowRef<HTMLCanvasElement | null>(null)
const url = ref('')
onScopeDispose(() => URL.revokeObjectURL(url.value))
async function take(event: Event) {
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  try {
    canvas.value = await photoCanvas(file)
    URL.revokeObjectURL(url.value)
    url.value = URL.createObjectURL(file)
    points.value = {}
  } catch {
    toasts.show('This is no picture that can be read here.', { bad: true })
  }
}

const names = ['sample', 'plain', 'card'] as const
type Point = (typeof names)[number]
const words: Record<Point, string> = {
  sample: 'Sample',
  plain: 'Plain',
  card: 'White or grey card',
}
const active = ref<Point>('sample')
/** Where the points are, as parts of the picture. */
const points = ref<Partial<Record<Point, { x: number; y: number }>>>({})
function pick(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  if (!box.width || event.detail === 0) return
  place((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
  const at = names.indexOf(active.value)
  const open = names.slice(at + 1).find((name) => !points.value[name])
  if (open && open !== 'card') active.value = open
}
const inside = (value: number) => Math.min(1, Math.max(0, value))
function place(x: number, y: number) {
  points.value = { ...points.value, [active.value]: { x: inside(x), y: inside(y) } }
}
function nudge(dx: number, dy: number) {
  const { x, y } = points.value[active.value] ?? { x: 0.5, y: 0.5 }
  place(x + dx, y + dy)
}
useShortcuts({
  '1': () => (active.value = 'sample'),
  '2': () => (active.value = 'plain'),
  '3': () => (active.value = 'card'),
  ArrowLeft: () => nudge(-0.005, 0),
  ArrowRight: () => nudge(0.005, 0),
  ArrowUp: () => nudge(0, -0.005),
  ArrowDown: () => nudge(0, 0.005),
})
const patches = computed(() => {
  const picture = canvas.value
  return Object.fromEntries(
    names.map((name) => {
      const at = points.value[name]
      return [
        name,
        picture && at ? patchAt(picture, at.x * picture.width, at.y * picture.height) : null,
      ]
    }),
  ) as Record<Point, ReturnType<typeof patchAt> | null>
})
const faultWords: Record<PatchFault, string> = {
  dark: 'is too dark to tell by: more light.',
  bright: 'is burnt out: less light, or no flash.',
  uneven: 'is uneven there: an edge, a hole or a shine. Move it to a plain spot.',
}
const faults = computed(() =>
  names.flatMap((name) => {
    const fault = patches.value[name] && faultOf(patches.value[name])
    // A white card is bright; only one that is burnt out in a colour says nothing.
    return fault && !(name === 'card' && fault === 'bright')
      ? [`${words[name]} ${faultWords[fault]}`]
      : []
  }),
)
const colours = computed(() => {
  const { sample, plain, card } = patches.value
  if (!sample || !plain) return null
  const [one, other] = [labOf(sample, card), labOf(plain, card)]
  return {
    sample: one,
    plain: other,
    swatch: swatchOf(one),
    plainSwatch: swatchOf(other),
    card: card !== null,
    difference: differenceOf(one, other),
  }
})
const busy = ref(false)
async function keep() {
  const found = colours.value
  if (!found || pot.value === null || faults.value.length || busy.value) return
  busy.value = true
  const { difference: _, ...told } = found
  const eventId = newId()
  const send = (event: TrialEvent) =>
    api.post(`/api/trials/${id.value}/events`, { events: [event] })
  const at = () => new Date(workshop.clock()).toISOString()
  try {
    await send({
      id: eventId,
      at: at(),
      kind: 'coloured',
      pot: pot.value,
      day: day.value,
      ...told,
      photo: null,
    })
    toasts.show(
      `${chosen.value?.name}: ${say.value.number(found.difference, undefined, 1)} from plain on day ${day.value}.`,
      {
        undo: async () => {
          await send({ id: newId(), at: at(), kind: 'undone', event: eventId })
          await Promise.all([load(), trials.again()])
        },
      },
    )
    points.value = { plain: points.value.plain, card: points.value.card }
    active.value = 'sample'
    await Promise.all([load(), trials.again()])
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
const signs: Record<Point, string> = { sample: '1', plain: '2', card: '3' }
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <template v-else-if="trial">
      <div class="mb-3 flex flex-wrap items-center gap-3">
        <div class="mr-auto">
          <h1>A colour in a photo</h1>
          <p class="text-ink-2">
            Trial day {{ trial.document.number }}, day {{ say.number(day) }} after it. Sample and
            plain beside each other, in daylight without sun, a white or grey card with them.
          </p>
        </div>
        <AppButton :to="`/scents/trials/${id}`">Back to the day</AppButton>
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_360px]">
        <section class="sheet px-4 py-3">
          <div class="mb-2 flex flex-wrap gap-2">
            <button
              v-for="name in names"
              :key="name"
              type="button"
              class="segment"
              :class="active === name ? 'on' : ''"
              :aria-pressed="active === name"
              @click="active = name"
            >
              <b class="figure mr-1">{{ signs[name] }}</b> {{ words[name] }}
            </button>
            <label
              class="ml-auto cursor-pointer rounded-sm border border-line-3 bg-field px-3.5 py-2 font-[550] text-on-field focus-within:outline-2"
            >
              {{ url ? 'Another photo' : 'A photo' }}
              <input type="file" accept="image/*" class="sr-only" @change="take" />
            </label>
          </div>
          <div v-if="url" class="relative">
            <img
              :src="url"
              alt="The photo: click where the chosen point is"
              class="block w-full cursor-crosshair"
              @click="pick"
            />
            <span
              v-for="name in names.filter((one) => points[one])"
              :key="name"
              class="figure pointer-events-none absolute flex size-8 -translate-1/2 items-center justify-center rounded-full border-2 border-white font-bold text-white shadow-[0_0_0_2px_#182022]"
              :class="name === active ? 'bg-act/70' : ''"
              :style="{ left: `${points[name]!.x * 100}%`, top: `${points[name]!.y * 100}%` }"
              >{{ signs[name] }}</span
            >
          </div>
          <p v-else class="py-16 text-center text-ink-2">
            Take a photo of the jar beside the plain one. It stays on this device.
          </p>
          <p class="mt-2 text-sm text-ink-2">
            <kbd>1</kbd> <kbd>2</kbd> <kbd>3</kbd> choose the point, arrows move it.
          </p>
        </section>
        <div class="grid gap-3">
          <section class="sheet px-4 py-3">
            <FieldRow says="Which pot is the sample?">
              <select v-model="pot" class="field font-normal">
                <option v-for="one in scented" :key="one.pot" :value="one.pot">
                  {{ one.code }} · {{ one.name }}
                </option>
              </select>
            </FieldRow>
            <template v-if="colours">
              <div class="mt-3 flex h-24 border border-ink/50">
                <i class="flex-1" :style="{ background: colours.plainSwatch }" />
                <i class="flex-1" :style="{ background: colours.swatch }" />
              </div>
              <p class="mt-1 flex text-sm text-ink-2">
                <span class="flex-1">plain</span><span>sample</span>
              </p>
              <p class="mt-2">
                <b class="figure text-[30px]">{{ say.number(colours.difference, undefined, 1) }}</b>
                from plain: <b>{{ differenceWord(colours.difference) }}</b>
              </p>
              <p v-if="!colours.card" class="text-warn">
                Without a card it is as the camera made it: good for this photo, not against
                another.
              </p>
            </template>
            <p v-else-if="url" class="mt-3 text-ink-2">Pick the sample and the plain one.</p>
            <ul v-if="faults.length" role="alert" class="mt-2 font-semibold text-stop">
              <li v-for="fault in faults" :key="fault">{{ fault }}</li>
            </ul>
            <AppButton
              kind="main"
              class="mt-3"
              :disabled="!colours || faults.length > 0 || busy"
              @click="keep"
              >Keep the two swatches</AppButton
            >
          </section>
          <section v-if="chosen?.colour.length" class="sheet px-4 py-3">
            <h2 class="text-sm font-semibold text-ink-2">{{ chosen.name }} so far</h2>
            <ul class="mt-1">
              <li v-for="one in chosen.colour" :key="one.day" class="flex items-center gap-3 py-1">
                <span class="figure w-14">day {{ one.day }}</span>
                <span class="flex h-6 w-20 border border-ink/40"
                  ><i class="flex-1" :style="{ background: one.plain }" /><i
                    class="flex-1"
                    :style="{ background: one.swatch }"
                /></span>
                <b class="figure">{{ say.number(one.from, undefined, 1) }}</b>
                {{ differenceWord(one.from) }}{{ one.card ? '' : ', no card' }}
              </li>
            </ul>
          </section>
        </div>
      </div>
    </template>
  </div>
</template>
