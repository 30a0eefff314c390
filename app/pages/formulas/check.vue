<script setup lang="ts">
import { CircleCheck, CircleDashed, CircleHelp, OctagonX } from '@lucide/vue'

/** Somebody's recipe, as they wrote it: what each line is, what is asked, and what soap it really is. */
const check = useRecipeCheck()
const { pieces, lines, report, ownFat } = check
const router = useRouter()
const formulas = useFormulas()
const { say } = storeToRefs(useWorkshop())
useHead({ title: 'Check a recipe · Mantle' })
onMounted(() => void formulas.load())

const example =
  'Galley soap, fills a shoebox\n400 g olive oil\n200g coconut\nlard 80\n20 g rice bran wax\n300 g lye solution\n60 g vinegar\nrose clay 1 tsp per lb\ntea tree eo 3%\nblend till it’s like custard'
const draft = ref('')
const more = ref('')
function paste() {
  if (!draft.value.trim()) return
  check.paste(draft.value)
  draft.value = ''
}
function addMore() {
  if (!more.value.trim()) return
  check.add(more.value)
  more.value = ''
}
const looks = {
  stop: { icon: OctagonX, colour: 'text-stop' },
  think: { icon: CircleHelp, colour: 'text-warn' },
  good: { icon: CircleCheck, colour: 'text-ok' },
  open: { icon: CircleDashed, colour: 'text-ink-2' },
}
const open = computed(() => report.value.open)
/** Number of each open line's first answer. */
const firsts = computed(() => {
  let next = 1
  return lines.value.map((line) => {
    const from = next
    if (line.doubtful) next += line.options.length
    return from
  })
})
function answer(number: number) {
  const at = lines.value.findIndex(
    (line, index) =>
      line.doubtful &&
      number >= firsts.value[index]! &&
      number < firsts.value[index]! + line.options.length,
  )
  if (at >= 0) check.take(lines.value[at]!, number - firsts.value[at]!)
}
useShortcuts(
  Object.fromEntries(
    Array.from({ length: 9 }, (_, index) => [String(index + 1), () => answer(index + 1)]),
  ),
)
const marks = computed(() => {
  if (report.value.superfat !== null) return [report.value.superfat]
  const known = report.value.outcomes.flatMap(({ superfat }) =>
    superfat === null ? [] : [superfat],
  )
  return known.length <= 12 ? known : []
})
const takeable = computed(() => !open.value.length && report.value.document.fats.length > 0)
const askOpen = computed({
  get: () => ownFat.value !== null,
  set: (now) => {
    if (!now) ownFat.value = null
  },
})
async function takeOver() {
  const id = await check.takeOver()
  if (id) await router.push(`/formulas/${id}`)
}
const understood = computed(() => lines.value.length - open.value.length)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Check a recipe</h1>
        <p class="text-ink-2">
          Somebody’s words on the left, what Mantle takes them for on the right.
        </p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
      <AppButton kind="main" :disabled="!takeable" @click="takeOver">{{
        open.length
          ? `Take it over: ${say.count(open.length, 'line', 'lines')} open`
          : 'Take it over as a formula'
      }}</AppButton>
    </div>
    <section v-if="!pieces.length" class="sheet max-w-2xl px-4 py-3">
      <label class="grid gap-2">
        <h2>The recipe, as they wrote it</h2>
        <textarea
          v-model="draft"
          class="field typed min-h-64 text-[16px]"
          maxlength="5000"
          placeholder="500g olive oil, 65 g NaOH, 150 ml water"
          aria-label="The recipe as written"
        />
      </label>
      <div class="mt-3 flex items-center gap-4">
        <AppButton :disabled="!draft.trim()" @click="paste">Read it</AppButton>
        <button type="button" class="link" @click="draft = example">Show me with an example</button>
      </div>
    </section>
    <div v-else class="grid items-start gap-4 lg:grid-cols-[minmax(0,840fr)_minmax(0,376fr)]">
      <section class="sheet overflow-hidden" aria-label="What was understood">
        <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] font-semibold text-ink-2">
          <p class="bg-chalk/70 px-4 py-2.5">
            Their words
            <button type="button" class="link ml-1" @click="check.clear()">Paste another</button>
          </p>
          <p class="flex justify-between border-l border-line px-4 py-2.5">
            What was understood
            <span class="font-normal"
              >{{ understood }} of {{ lines.length }} lines<template v-if="open.length"
                >, {{ open.length }} asked</template
              ></span
            >
          </p>
        </div>
        <ol>
          <RecipeLineRow
            v-for="(line, index) in lines"
            :key="`${index} ${line.text}`"
            :line="line"
            :from="firsts[index]!"
            :question="`question ${open.indexOf(index) + 1} of ${open.length}`"
            :answered="check.isAnswered(line)"
            @edit="check.edit(index, $event)"
            @take="check.take(line, $event)"
            @reopen="check.reopen(line)"
          />
        </ol>
        <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] border-t border-line">
          <form class="bg-chalk/70 px-3 py-1.5" @submit.prevent="addMore">
            <input
              v-model="more"
              class="typed w-full rounded-sm border border-dashed border-line-3 bg-transparent px-2 py-1 text-[16px] focus:bg-field"
              placeholder="one more line"
              aria-label="One more line"
              maxlength="300"
            />
          </form>
          <p class="figure border-l border-line px-4 py-2.5 text-ink-2">
            Fats {{ say.mass(report.oils)
            }}<template v-if="!open.length && report.result.water.content > 0"
              >, water in it all {{ say.mass(report.result.water.content) }}</template
            >
          </p>
        </div>
        <PotOnSide v-if="takeable" :result="report.result" class="border-t border-line" />
      </section>
      <section class="sheet px-5 py-4" aria-label="What it is" aria-live="polite">
        <h2>What it really is</h2>
        <template v-if="open.length">
          <p class="mt-1 text-key font-bold">Not said yet</p>
        </template>
        <div v-else class="mt-1 grid grid-cols-2 gap-3">
          <div>
            <output
              data-testid="superfat"
              class="figure block text-key font-[650]"
              :class="report.superfat !== null && report.superfat < 0 ? 'text-stop' : ''"
              >{{ report.superfat === null ? '–' : say.percent(report.superfat) }}</output
            >
            <span class="text-ink-2"
              >superfat<template v-if="report.superfatRange"
                >, {{ say.percent(report.superfatRange[0]) }} to
                {{ say.percent(report.superfatRange[1]) }}</template
              ></span
            >
          </div>
          <div>
            <output class="figure block text-key font-[650]">{{
              report.ratio === null ? '–' : say.ratio(report.ratio)
            }}</output>
            <span class="text-ink-2"
              >water to lye<template v-if="report.strength !== null"
                >, {{ say.percent(report.strength) }} strong</template
              ></span
            >
          </div>
        </div>
        <SuperfatRail
          v-if="marks.length || report.superfatRange"
          class="my-3"
          :marks="marks"
          :span="report.superfatRange"
        />
        <ul>
          <li
            v-for="verdict in report.verdicts"
            :key="verdict.says"
            class="grid grid-cols-[20px_1fr] gap-x-2 border-t border-line-2 py-2.5"
          >
            <component
              :is="looks[verdict.tone].icon"
              :size="18"
              class="mt-0.5"
              :class="looks[verdict.tone].colour"
              aria-hidden="true"
            />
            <div>
              <b :class="looks[verdict.tone].colour">{{ verdict.says }}</b>
              <p class="text-ink-2">{{ verdict.because }}</p>
            </div>
          </li>
        </ul>
        <p class="border-t border-line-2 pt-2.5 text-sm text-ink-2">
          Lye is taken as pure unless it says otherwise; less pure flakes only raise the superfat.
          Temperatures and how long to blend are asked by the formula.
        </p>
      </section>
    </div>
    <LazyAskDialog
      v-if="askOpen"
      v-model="askOpen"
      :title="`${ownFat!.name}, a fat of your own`"
      label="Saponification value, mg KOH per g"
      text="It stands in the certificate or the safety sheet of the fat. It is kept among your materials."
      hint="Between 20 and 400. A figure like 0.135 is g NaOH per g: multiply it by 1402.8."
      :min="20"
      :max="400"
      :value="null"
      confirm="Keep it"
      @number="check.keepFat"
    />
  </div>
</template>
