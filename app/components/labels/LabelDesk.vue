<script setup lang="ts">
import type { LabelSubject } from '#contracts/label'
import { classWords } from '#core/label/useClass'
import type { LabelSaid } from '#core/label/subject'
import { idFrom } from '#core/words/reading'

/**
 * Where labels are made: the design on paper as large as it will be, what the rules want of it, and the sheet it lies on. What is worked
 * on is kept by itself; the PDF is made on the server from what is kept.
 */
const { subject, labelling, usual, title } = defineProps<{
  subject: LabelSubject
  labelling: ReturnType<typeof useLabelling>
  /** How many are usually wanted. */
  usual: number
  title: string
}>()
const designId = defineModel<string>('design', { required: true })
const workshop = useWorkshop()
const { say, settings } = storeToRefs(workshop)
const designs = useDesigns()
const printing = useLabelPrint()
const pixels = useScreenMm()

const main = useLabelDesign(designId)
const alsoId = computed(() => main.design.value?.also ?? '')
const also = useLabelDesign(alsoId)
const ownSmallest = ref<number | null>(null)
const custom = computed(() => main.design.value?.custom ?? 'in-bar')
const all = computed(() => labelling.said(custom.value, ownSmallest.value))
const said = computed((): LabelSaid | null => all.value[0] ?? null)
const alsoSaid = computed(
  () => labelling.said(also.design.value?.custom ?? 'in-bar', ownSmallest.value)[0] ?? null,
)
const labelled = computed(() => {
  const parts = said.value?.parts ?? []
  return subject.of === 'batch' ? (parts[0]?.label ?? null) : null
})
const place = computed(() => labelling.place.value)
const selected = ref('')
const alsoSelected = ref('')

const count = ref(1)
watch(
  () => usual,
  (now) => (count.value = Math.max(1, now)),
  { immediate: true },
)
const wanted = computed(() => (subject.of === 'prices' ? all.value.length : count.value))
const from = ref(1)
watch(designId, () => {
  from.value = 1
  selected.value = ''
})

const { adding, add, ownPaper } = useLabelPapers(main, said, selected)

const fileName = computed(() =>
  idFrom(
    subject.of === 'prices'
      ? 'shelf cards'
      : `labels ${said.value?.words.name ?? ''} ${subject.of === 'batch' ? (said.value?.words.code ?? '') : ''}`,
  ),
)
async function make({ test = false, anyway = false } = {}) {
  await Promise.all([main.flush(), also.flush()])
  const unkept = [main, also].find(({ state }) => state.value === 'refused')
  if (unkept) {
    printing.problem.value = `The design is not kept yet, so it would not be what you see. ${unkept.problem.value}`
    return
  }
  const { columns, rows } = main.design.value!.sheet
  const each = columns * rows
  const made = await printing.print(
    {
      designId: designId.value,
      subject,
      // A test needs one sheet, whatever is to be printed after it.
      count: test ? Math.min(wanted.value, each - from.value + 1) : wanted.value,
      from: from.value,
      smallest: ownSmallest.value,
      test,
      anyway,
    },
    test ? 'labels-test.pdf' : `${fileName.value}.pdf`,
  )
  if (made && !test) from.value = ((from.value - 1 + wanted.value) % each) + 1
}
const asking = computed({
  get: () => printing.asks.value.length > 0,
  set: (open) => {
    if (!open) printing.asks.value = []
  },
})
const ruling = ref(false)
/** A small one is worked on beside the rest; a long one has the width to itself. */
const isSmall = computed(() => (main.design.value?.width ?? 0) * pixels.value <= 430)
/** Those that are worked on at twice their size, as large as they will be. */
const trueSizes = computed(() =>
  [
    { design: main.design.value, words: said.value?.words },
    { design: also.design.value, words: alsoSaid.value?.words },
  ].flatMap(({ design, words }) =>
    design && words && design.width * pixels.value * 2 <= 430 ? [{ design, words }] : [],
  ),
)
const setCustom = (next: typeof custom.value) =>
  main.design.value && main.set({ ...main.design.value, custom: next })
</script>

<template>
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <slot name="face" />
    <div class="mr-auto min-w-0">
      <h1>{{ title }}</h1>
      <p class="text-ink-2"><slot name="under" :said="said" :labelled="labelled" /></p>
    </div>
    <select v-if="designs.list.length" v-model="designId" class="field !w-auto" aria-label="Design">
      <option v-for="one in designs.list" :key="one.id" :value="one.id">
        {{ one.document.name
        }}{{
          one.document.also
            ? ` and ${designs.list.find(({ id }) => id === one.document.also)?.document.name ?? ''}`
            : ''
        }}
      </option>
    </select>
    <AppButton
      :disabled="printing.busy.value || !said || !main.design.value"
      @click="make({ test: true })"
      >Test print</AppButton
    >
    <AppButton
      kind="main"
      :disabled="printing.busy.value || !said || !main.design.value"
      @click="make()"
      >Make the PDF</AppButton
    >
    <small class="w-28 text-[12px] leading-[15px] text-ink-2">Check the rules where you sell</small>
  </div>
  <div
    v-if="printing.busy.value"
    role="status"
    class="mb-3 flex items-center gap-3 rounded-md bg-act-ground px-4 py-2"
  >
    <progress
      :value="printing.done.value"
      :max="printing.of.value"
      class="flex-1"
      aria-label="Labels that are drawn"
    />
    <span class="figure"
      >{{ printing.done.value }} of {{ say.count(printing.of.value, 'label', 'labels') }}</span
    >
    <AppButton @click="printing.cancel()">Stop</AppButton>
  </div>
  <p v-if="printing.problem.value" role="alert" class="mb-3 font-semibold text-stop">
    {{ printing.problem.value }}
  </p>
  <section
    v-if="settings.selling.place === null"
    class="mb-3 rounded-md bg-warn-ground px-4 py-3"
    aria-label="Where you sell"
  >
    <p class="mb-2 font-semibold text-warn">
      Where do you sell? Lists, units and sizes go by it; until you say, Great Britain’s stand here.
    </p>
    <PlaceChoice />
  </section>
  <div
    v-if="main.design.value && said"
    class="grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_384px]"
  >
    <div
      class="grid min-w-0 items-start gap-x-6 rounded-md border border-line-3 bg-line px-4 py-3"
      :class="isSmall ? 'md:grid-cols-[minmax(0,400px)_minmax(0,1fr)]' : 'grid-cols-1'"
    >
      <div class="min-w-0">
        <LabelPaper
          v-model:selected="selected"
          :editing="main"
          :design-id="designId"
          :said="said"
          :place="place"
          :pixels="pixels"
          @ruler="ruling = true"
        />
        <div class="mt-2 mb-3 flex flex-wrap items-start gap-x-4 gap-y-2 text-[13px]">
          <AppMenu label="Put something on the label" :entries="adding" words
            ><span class="link px-1">Put something on it</span></AppMenu
          >
          <DesignPaper :editing="main" />
          <button
            v-if="alsoId"
            type="button"
            class="link pt-1"
            @click="main.set({ ...main.design.value, also: null })"
          >
            Leave out {{ also.design.value?.name }}
          </button>
        </div>
      </div>
      <div
        class="grid min-w-0 content-start gap-x-6 gap-y-3"
        :class="alsoId && !isSmall ? 'lg:grid-cols-[minmax(0,400px)_minmax(0,1fr)]' : ''"
      >
        <LabelPaper
          v-if="alsoId && also.design.value && alsoSaid"
          v-model:selected="alsoSelected"
          :editing="also"
          :design-id="alsoId"
          :said="alsoSaid"
          :place="place"
          :pixels="pixels"
          @ruler="ruling = true"
        />
        <div class="grid min-w-0 content-start gap-3">
          <TrueSizes
            :shown="trueSizes"
            :band="main.design.value.form === 'band' ? main.design.value : null"
            :words="said.words"
            :pixels="pixels"
            @ruler="ruling = true"
          />
          <DesignRow v-model="designId" :words="said.words" />
        </div>
      </div>
    </div>
    <div class="grid content-start gap-3">
      <section v-if="labelled" class="sheet overflow-hidden" aria-label="The list">
        <LabelLists :labelled="labelled" :model-value="custom" @update:model-value="setCustom" />
      </section>
      <section v-else-if="subject.of === 'gift'" class="sheet px-4 py-3" aria-label="The lists">
        <h2 class="text-[14px] font-bold text-ink">In the box</h2>
        <p v-for="part in said.parts" :key="part.label.words.code" class="mt-1 text-[13px]">
          <b>{{ part.bars }} × {{ part.label.words.name }} {{ part.label.words.code }}</b
          >, {{ part.label.words.net }}: {{ part.label.words.list }}
        </p>
      </section>
      <LabelAsks
        :editing="main"
        :also="also.design.value"
        :said="said"
        :place="place"
        @paper="ownPaper"
        @put="add"
      />
      <SheetCard v-model="from" :editing="main" :count="wanted" />
      <section
        v-if="subject.of !== 'prices'"
        class="sheet grid gap-2 px-4 py-3 text-[13.5px]"
        aria-label="How many, and how heavy"
      >
        <div class="flex flex-wrap items-end gap-3">
          <LabelledNumber
            says="Labels"
            width="w-24"
            :decimals="0"
            :min="1"
            :max="2000"
            :model-value="count"
            @update:model-value="(value) => value && (count = Math.round(value))"
          />
          <LabelledNumber
            v-if="subject.of === 'batch'"
            v-model="ownSmallest"
            says="Set aside bars under"
            kind="mass"
            width="w-32"
            :min="1"
            :max="5000"
          />
        </div>
        <p v-if="labelled" class="text-ink-2">
          <template v-if="!labelled.net.stated"
            >Nothing is known of its weight yet: pour it, or say the smallest bar.</template
          >
          <template v-else-if="ownSmallest === null"
            >Of 1,000 bars 975 still weigh more than {{ labelled.net.stated }} g when long dried, by
            this batch’s drying and the spread of its cut.</template
          >
          <template v-else
            >Every bar is weighed dry, and what is lighter gets no label: the label says
            {{ labelled.net.stated }} g.</template
          >
        </p>
        <p v-if="labelled" class="text-ink-2">{{ classWords[labelled.use].needs }}</p>
        <slot name="more" />
      </section>
    </div>
  </div>
  <section
    v-else-if="labelling.loaded.value && !designs.list.length"
    class="sheet px-6 py-8 text-center"
  >
    <p class="mb-3 text-[17px]">No design yet. Begin with a piece of paper.</p>
    <DesignRow v-if="said" v-model="designId" :words="said.words" />
  </section>
  <RulerDialog v-if="ruling" v-model="ruling" v-model:pixels="pixels" />
  <AppDialog v-model="asking" title="Before it is printed">
    <ul class="grid gap-2 px-5 py-4">
      <li v-for="one in printing.asks.value" :key="one" class="flex gap-2">
        <span class="text-warn" aria-hidden="true">▲</span> {{ one }}
      </li>
    </ul>
    <template #actions>
      <AppButton @click="make({ anyway: true })">Print it as it is</AppButton>
      <AppButton kind="main" @click="asking = false">Mend it first</AppButton>
    </template>
  </AppDialog>
</template>
