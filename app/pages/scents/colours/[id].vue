<script setup lang="ts">
import { bleedWords, colourCarriers } from '#contracts/trialWords'
import type { Colour, ColourSeen } from '#contracts/colour'

/** One colour: how it is used, how it came out, and the next bar that somebody looks at. */
const route = useRoute()
const id = String(route.params.id)
const colours = useColours()
const materials = useMaterials()
const toasts = useToasts()
const workshop = useWorkshop()
const { library } = storeToRefs(materials)
const { say, today } = storeToRefs(workshop)
const extra = computed(() => library.value.additives.get(id) ?? null)
const stored = computed(() => colours.list.find((one) => one.id === id) ?? null)
const document = computed(() => stored.value?.document ?? newColour())
useHead({ title: () => `${extra.value?.name ?? 'Colour'} · Mantle` })
onMounted(() => void colours.load())

/** What is written into the fields and not kept yet. */
const edited = ref<Partial<Colour>>({})
const isEdited = computed(() => Object.keys(edited.value).length > 0)
const draft = computed((): Colour => ({ ...document.value, ...edited.value }))
/** A field of it: what is written there, else what is kept. */
const field = <Key extends keyof Colour>(key: Key) =>
  computed({
    get: () => draft.value[key],
    set: (now: Colour[Key]) => (edited.value = { ...edited.value, [key]: now }),
  })
const [rate, carrier, parts] = [field('rate'), field('carrier'), field('parts')]
const [bleeds, note] = [field('bleeds'), field('note')]
const problem = ref('')
const busy = ref(false)
/** Keeps a change and says so, with the way back. Where another window was first, what it kept stays and this goes on top. */
async function keep(change: (now: Colour) => Colour, says: string) {
  if (busy.value) return
  busy.value = true
  const send = async () => {
    const before = document.value
    const kept = await colours.save(id, stored.value?.revision ?? 0, change(before))
    edited.value = {}
    toasts.show(says, { undo: async () => void (await colours.save(id, kept.revision, before)) })
  }
  try {
    await send().catch(async (error: unknown) => {
      if (!(error instanceof ApiError) || error.status !== 409) throw error
      await colours.load()
      await send()
    })
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
const keepFields = () => {
  const mine = edited.value
  return keep((now) => ({ ...now, ...mine }), `${extra.value?.name} is kept.`)
}
async function keepBar(bar: ColourSeen) {
  const mine = edited.value
  await keep(
    (now) => ({ ...now, ...mine, seen: [...now.seen, bar] }),
    `${extra.value?.name}: another bar is kept.`,
  )
  return !problem.value
}
/** What stands in the fields goes with its maker: it is kept, not asked about. Where that fails it is said, once. */
let stayed = false
onBeforeRouteLeave(async () => {
  if (isEdited.value && !stayed) await keepFields()
  stayed = problem.value !== '' && !stayed
  return !stayed
})
const removing = ref<string | null>(null)
const chosen = computed(() => document.value.seen.find((one) => one.id === removing.value) ?? null)
async function remove() {
  const gone = removing.value
  removing.value = null
  await keep(
    (now) => ({ ...now, seen: now.seen.filter((one) => one.id !== gone) }),
    'That bar is left out.',
  )
}
</script>

<template>
  <ProblemPage
    v-if="materials.loaded && !extra"
    says="There is no such colour in the library."
    to="/scents/colours"
    label="All colours"
  />
  <div v-else-if="extra" class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <header class="mb-3 flex flex-wrap items-center gap-3">
      <i class="size-8 rounded-sm border border-ink/40" :style="{ background: extra.colour }" />
      <div class="min-w-0 flex-1 basis-64">
        <h1>{{ extra.name }}</h1>
        <p class="figure text-ink-2">
          {{ colourUseText(document, say) || 'Nothing written down yet' }}
        </p>
      </div>
      <AppButton to="/scents/colours">All colours</AppButton>
      <AppButton kind="main" :disabled="!isEdited || busy" @click="keepFields">Keep it</AppButton>
    </header>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <div class="grid items-start gap-4 lg:grid-cols-[400px_minmax(0,1fr)]">
      <div class="grid gap-4">
        <section class="sheet px-4 py-3" aria-labelledby="use">
          <h2 id="use">How it is used here</h2>
          <div class="mt-2 flex flex-wrap gap-3">
            <FieldRow says="Of its pot’s oils">
              <NumberField
                v-model="rate"
                label="Of its pot’s oils"
                kind="percent"
                class="w-28"
                :min="0.00001"
                :max="0.2"
              />
            </FieldRow>
            <FieldRow says="Stirred smooth in">
              <select v-model="carrier" class="field font-normal">
                <option :value="null">not said</option>
                <option v-for="one in colourCarriers" :key="one" :value="one">
                  {{ carrierWords[one] }}
                </option>
              </select>
            </FieldRow>
            <FieldRow v-if="carrier && carrier !== 'batter'" says="Parts to one">
              <NumberField
                v-model="parts"
                label="Parts of it to one of colour"
                kind="plain"
                class="w-24"
                :min="0.1"
                :max="50"
              />
            </FieldRow>
            <FieldRow says="In use">
              <select v-model="bleeds" class="field font-normal">
                <option :value="null">not tried</option>
                <option v-for="one in bleedWords" :key="one" :value="one">
                  {{ bleedSays[one] }}
                </option>
              </select>
            </FieldRow>
          </div>
          <FieldRow says="Note" class="mt-3">
            <textarea v-model="note" class="field font-normal" rows="2" maxlength="2000" />
          </FieldRow>
        </section>
        <section class="sheet px-4 py-3" aria-labelledby="came">
          <h2 id="came">How it came out</h2>
          <SwatchLadder
            v-if="document.seen.length"
            :seen="document.seen"
            large
            class="mt-2"
            @pick="removing = $event"
          />
          <p v-else class="mt-1 text-ink-2">
            Nobody has looked at a bar of it yet: pictures take the powder’s own colour.
          </p>
        </section>
      </div>
      <LookAtBar :extra="extra" :parts="parts" :busy="busy" :keep="keepBar" />
    </div>
    <AppDialog
      v-if="chosen"
      :model-value="true"
      title="A bar of it"
      @update:model-value="removing = null"
    >
      <div class="grid gap-3 px-5 py-4">
        <i class="chamfer block h-28 border border-ink/50" :style="{ background: chosen.swatch }" />
        <p class="figure">
          {{ say.percent(chosen.rate, 2) }}, {{ chosen.gelled ? 'gelled' : 'not gelled' }},
          {{ say.count(chosen.day, 'day', 'days') }} old, looked at
          {{ dayText(chosen.on, { today }) }}.
          <NuxtLink v-if="chosen.batchId" :to="`/batches/${chosen.batchId}`" class="link"
            >Its batch</NuxtLink
          >
        </p>
        <div class="flex justify-end gap-3">
          <AppButton @click="removing = null">Close</AppButton>
          <AppButton @click="remove">Leave it out</AppButton>
        </div>
      </div>
    </AppDialog>
  </div>
</template>
