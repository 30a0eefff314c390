<script setup lang="ts">
import { uses, type Use } from '#contracts/words'
import type { Remark } from '#contracts/result'
import { formulaAsText } from '#core/exchange/asText'
import { scaleFormula } from '#core/formula/edit'
import type { Figure } from '#core/formula/explain'
import { roundedToScale } from '#core/formula/onScale'
import { purposeNames } from '~/utils/purposeNames'
import { useMediaQuery } from '@vueuse/core'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const editor = provideFormulaEditor(id)
const { document, result, remarks, open, question, thumbnail, loaded, problem } = editor
const { lessons, drop } = useLessons(() => id)
const formulas = useFormulas()
const toasts = useToasts()
const { say, settings } = storeToRefs(useWorkshop())
const { library } = storeToRefs(useMaterials())

/** A phone shows lye and water before what they come from. */
const isPhone = useMediaQuery('(width < 40rem)')
const why = ref<Figure | null>(null)
const making = ref(false)
const versions = ref(false)
const picturing = ref(false)
const giving = ref(false)
const typedLine = ref<{ focus: () => void } | null>(null)
/** A formula that has nothing yet begins with its first line. */
watch(
  loaded,
  async (is) => {
    if (!is || document.value.fats.length) return
    await nextTick()
    typedLine.value?.focus()
  },
  { immediate: true },
)
const water = ref<{ focus: () => void } | null>(null)
const nameFault = ref('')

useHead({ title: () => `${document.value.name} · Mantle` })
onMounted(() => {
  void editor.load()
  void formulas.load()
  // The worked example leads on to its plan in one press.
  if (route.query.make) making.value = true
})
useShortcuts({
  a: () => typedLine.value?.focus(),
  w: () => water.value?.focus(),
  v: () => (versions.value = true),
  s: () => globalThis.document.querySelector<HTMLInputElement>('[data-superfat] input')?.focus(),
})

function rename(event: Event) {
  const name = (event.target as HTMLInputElement).value
  nameFault.value = name.trim() ? '' : 'A formula needs a name.'
  if (name.trim()) editor.put(['name'], name)
}
function fix(remark: Remark) {
  if (remark.fix) editor.apply(remark.fix.patch)
}
const setUse = (event: Event) =>
  editor.put(['use'], (event.target as HTMLSelectElement).value as Use)
async function duplicate() {
  try {
    const copy = await formulas.duplicate(document.value)
    await router.push(`/formulas/${copy}`)
    toasts.show('This is the copy.')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
async function remove() {
  try {
    await editor.save.flush()
    await formulas.remove({ id, document: document.value })
    forgetDraft(id)
    await router.push('/formulas')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
/** Everything another maker needs to judge it. */
async function copyText() {
  const text = formulaAsText(document.value, result.value, say.value)
  try {
    await navigator.clipboard.writeText(text)
    toasts.show('The formula is copied, with lye strength, temperatures and method.')
  } catch {
    download(`${document.value.name}.txt`, text, 'text/plain')
  }
}

/** Every weight in steps of the scale; the superfat becomes what those weights have. */
function roundOff() {
  editor.change(roundedToScale(document.value, library.value, settings.value.scale))
  toasts.show(
    `Every weight is one your scale can show; the superfat is ${say.value.percent(result.value.superfat.total, 2)}.`,
    { undo: () => editor.history.undo() },
  )
}

/** Two pots to begin with: shares, water and colours are then the maker's. */
function divide() {
  const pot = (name: string) => ({ name, share: 0.5, scent: true, additives: [] })
  const { method } = document.value
  editor.change({
    ...document.value,
    parts: [pot('pale'), pot('dark')],
    method: { ...method, patterns: method.patterns.length ? method.patterns : ['layers'] },
  })
}
const toPots = () => globalThis.document.getElementById('pots')?.scrollIntoView({ block: 'start' })
const entries = computed(() => [
  {
    says: 'Compare with another',
    act: () => void router.push({ path: '/formulas/compare', query: { a: `f:${id}` } }),
  },
  { says: 'Print', act: () => void router.push(`/formulas/${id}/sheet`) },
  { says: 'Handout, whole and half', act: () => void router.push(`/formulas/${id}/handout`) },
  { says: 'Sheet for a class', act: () => void router.push(`/formulas/${id}/class`) },
  { says: 'Duplicate', act: () => void duplicate() },
  ...(document.value.parts.length
    ? [{ says: 'Back into one pot', act: () => editor.put(['parts'], []) }]
    : [{ says: 'Divide into pots', act: divide }]),
  { says: 'Copy as text, to ask others', act: () => void copyText() },
  { says: 'Give it away', act: () => (giving.value = true) },
  { says: 'Export', act: () => exportFormulas(document.value.name, document.value) },
  ...(document.value.parts.length
    ? []
    : [{ says: `Round to the scale’s ${scaleText(settings.value.scale)}`, act: roundOff }]),
  { says: 'Halve the size', act: () => editor.change(scaleFormula(document.value, 0.5)) },
  { says: 'Double the size', act: () => editor.change(scaleFormula(document.value, 2)) },
  { says: 'Delete', danger: true, act: () => void remove() },
])
</script>

<template>
  <div v-if="problem" class="mx-auto max-w-xl px-4 py-10">
    <EmptyState :title="problem">
      <template #actions>
        <AppButton @click="editor.load()">Try again</AppButton>
        <AppButton kind="main" to="/formulas">All formulas</AppButton>
      </template>
    </EmptyState>
  </div>
  <div v-else-if="loaded" class="mx-auto max-w-[1280px] px-3 pb-4 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2 py-3">
      <button
        type="button"
        :aria-label="`Change the picture of ${document.name}`"
        @click="picturing = true"
      >
        <BarThumbnail :thumbnail="thumbnail" :width="58" :height="38" />
      </button>
      <LazyThumbnailDialog
        v-if="picturing"
        v-model="picturing"
        :name="document.name"
        :thumbnail="thumbnail"
        :own="document.thumbnail && editor.unchosen.value"
        @change="editor.put(['thumbnail'], $event)"
      />
      <div class="mr-auto min-w-52 flex-1">
        <h1 class="relative">
          <input
            :value="document.name"
            class="-ml-1.5 w-full rounded-sm border border-transparent bg-transparent px-1.5 hover:border-line-3"
            aria-label="Name of the formula"
            maxlength="120"
            :aria-invalid="nameFault ? true : undefined"
            @input="rename"
            @blur="nameFault = ''"
          />
          <span
            v-if="nameFault"
            role="alert"
            class="absolute left-0 top-full z-10 bg-stop px-2 py-1 text-sm font-normal tracking-normal text-white"
            >{{ nameFault }}</span
          >
        </h1>
        <div class="flex flex-wrap items-center gap-x-3">
          <VersionLine @open="versions = true" />
          <SaveNote />
        </div>
      </div>
      <label>
        <span class="sr-only">What it is for</span>
        <select class="field py-2 font-[550]" :value="document.use" @change="setUse">
          <option v-for="use in uses" :key="use" :value="use">{{ purposeNames[use] }}</option>
        </select>
      </label>
      <SizeField />
      <AppButton @click="document.parts.length ? toPots() : divide()">{{
        document.parts.length ? say.count(document.parts.length, 'pot', 'pots') : 'One pot'
      }}</AppButton>
      <AppMenu label="More for this formula" :entries="entries" />
      <AppButton v-if="editor.save.state.value === 'conflict'" disabled
        >Make a batch: two sides are open</AppButton
      >
      <AppButton v-else kind="main" :disabled="!!question" @click="making = true">{{
        question ? 'Make a batch: a word is open' : 'Make a batch'
      }}</AppButton>
    </div>
    <div
      class="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,424fr)_minmax(0,340fr)_minmax(0,440fr)] xl:min-h-[470px]"
    >
      <div v-if="isPhone" class="sheet grid grid-cols-[84px_minmax(0,1fr)] items-stretch">
        <div class="py-2.5 pl-3"><MiniPot /></div>
        <KeyNumbers v-model:why="why" />
      </div>
      <div class="sheet flex flex-col">
        <div>
          <FatLines />
          <FirstSlip v-if="document.fats.length" question="weights" asks="Grams or ounces?">
            <div class="flex gap-2">
              <SlipKey
                question="weights"
                :changes="{ units: 'metric', degrees: settings.degrees ?? say.degrees }"
                :lit="settings.units === 'metric'"
                >grams</SlipKey
              >
              <SlipKey
                question="weights"
                :changes="{
                  units: 'imperial',
                  degrees: settings.degrees ?? say.degrees,
                  scale: 2.8349523125,
                }"
                :lit="settings.units === 'imperial'"
                >ounces</SlipKey
              >
            </div>
          </FirstSlip>
          <ExtraLines />
          <CitricSlip />
        </div>
        <TypedLineBox
          ref="typedLine"
          class="border-t border-line-2 max-sm:sticky max-sm:bottom-16 max-sm:z-10 max-sm:bg-sheet"
        />
      </div>
      <LazyPotsPicture
        v-if="document.parts.length && result.oils > 0"
        class="max-lg:order-3 lg:max-h-[620px]"
      />
      <PotPicture v-else class="max-lg:order-3 lg:max-h-[620px]" />
      <div class="sheet max-lg:order-2">
        <KeyNumbers v-if="!isPhone" v-model:why="why" />
        <ScaleSlip />
        <LyeJarSlip />
        <WaterDial ref="water" />
        <SuperfatLine v-model:why="why" />
        <LyeAgeSlip />
        <CoarseCups />
        <RemarkList v-if="!open.length" :remarks="remarks" @fix="fix">
          <template v-if="question">A word is open: “{{ question }}”.</template>
          <template v-else>Nothing speaks against this formula.</template>
        </RemarkList>
        <ForWhom
          v-if="!open.length"
          class="border-t border-line-2 px-4 py-2 text-sm"
          brief
          :document="document"
          :result="result"
          :library="library"
        />
        <div v-if="!open.length && lessons.length" class="border-t border-line-2 px-4 py-3">
          <h2 class="mb-1.5">Learned</h2>
          <LessonList :lessons="lessons" @drop="drop" />
        </div>
        <JournalSays v-if="!open.length" :document="document" :formula-id="id" />
        <ul v-if="open.length" class="border-t border-line-2" aria-label="Still open">
          <li
            v-for="item in open"
            :key="item.says"
            class="flex justify-between gap-3 px-4 py-2 text-ink-2"
          >
            {{ item.says }}
            <button
              v-if="item.fix"
              type="button"
              class="link shrink-0"
              @click="editor.apply(item.fix.patch)"
            >
              {{ item.fix.label }}
            </button>
          </li>
        </ul>
      </div>
    </div>
    <CharacterStrip />
    <div class="sheet mt-3.5 grid lg:grid-cols-2">
      <div class="border-line-2 max-lg:border-b lg:border-r">
        <MethodFields />
        <FirstSlip v-if="document.fats.length" question="degrees" asks="Which thermometer?">
          <div class="flex gap-2">
            <SlipKey
              v-for="degrees in ['C', 'F'] as const"
              :key="degrees"
              question="degrees"
              :changes="{ degrees }"
              :lit="say.degrees === degrees"
              >°{{ degrees }}</SlipKey
            >
          </div>
        </FirstSlip>
      </div>
      <div class="flex flex-col px-4 py-3">
        <label class="flex flex-1 flex-col">
          <h2 class="mb-1.5">Notes</h2>
          <textarea
            class="field min-h-16 w-full flex-1 resize-y"
            maxlength="20000"
            placeholder="What it is for, what to try next. A word behind # files it: #market"
            :value="document.notes"
            @input="editor.put(['notes'], ($event.target as HTMLTextAreaElement).value)"
          />
        </label>
        <SourceLine
          class="mt-2"
          :source="document.source"
          @change="(source) => editor.put(['source'], source)"
        />
      </div>
    </div>
    <div
      v-if="document.parts.length || document.method.patterns.length"
      id="pots"
      class="sheet mt-3.5 grid lg:grid-cols-[3fr_2fr]"
    >
      <LazyPartLines
        v-if="document.parts.length"
        class="border-line-2 max-lg:border-b lg:border-r"
      />
      <div v-else class="border-line-2 px-4 py-3 max-lg:border-b lg:border-r">
        <h2 class="mb-1">One pot</h2>
        <p class="mb-2 text-ink-2">
          Pots of their own give parts of the batter their own colour, water or scent.
        </p>
        <AppButton @click="divide">Divide into pots</AppButton>
      </div>
      <div class="px-4 py-3">
        <h2 class="mb-2">The loaf and the cut bar</h2>
        <LazyLoafPicture :document="document" />
      </div>
    </div>
    <p class="mt-3 text-sm text-ink-2">
      Lye burns. Goggles and gloves on before the lye is opened, lye into water and never water onto
      lye, no aluminium. Follow your suppliers' safety sheets and local rules; Mantle does not
      replace them. {{ say.percent(result.superfat.total) }} superfat is worked out from average
      saponification values.
    </p>
    <LazyWhyDialog v-if="why" v-model="why" :document="document" :result="result" />
    <LazyMakeBatchDialog v-if="making" v-model="making" />
    <LazyGiveDialog
      v-if="giving"
      v-model="giving"
      :make="() => giveFormula(document, result, say)"
    />
    <LazyVersionsDialog v-if="versions" v-model="versions" />
  </div>
</template>
