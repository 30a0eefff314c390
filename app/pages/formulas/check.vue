<script setup lang="ts">
import { CircleCheck, CircleHelp, CircleDashed, OctagonX } from '@lucide/vue'
import { judgeRecipe } from '#core/recipe/judge'
import { readRecipe, type RecipeLine } from '#core/recipe/read'
import { useSessionStorage } from '@vueuse/core'

const { library } = storeToRefs(useMaterials())
const formulas = useFormulas()
const toasts = useToasts()
const router = useRouter()
const { say } = storeToRefs(useWorkshop())
useHead({ title: 'Check a recipe · Mantle' })
onMounted(() => void formulas.load())

const text = useSessionStorage('mantle-recipe', '')
const example =
  '500 g olive oil\n200 g coconut oil\n100 g NaOH\n230 ml water\n20 g lavender essential oil'
const lines = computed(() => readRecipe(text.value, library.value))
const report = computed(() => judgeRecipe(lines.value, library.value, say.value))
const kinds: Record<RecipeLine['kind'], string> = {
  fat: 'fat',
  liquid: 'liquid',
  additive: 'extra',
  naoh: 'lye, taken as pure',
  koh: 'potash, taken as 90 % pure',
  lye: 'lye, taken as sodium hydroxide',
  water: '',
  superfat: 'what it claims',
  scent: 'scent',
  unknown: 'not understood',
}
const amountOf = (line: RecipeLine) => {
  if (line.grams !== null) return `${line.estimated ? '≈ ' : ''}${say.value.mass(line.grams)}`
  return line.share !== null ? say.value.percent(line.share, 2) : '–'
}
const looks = {
  stop: { icon: OctagonX, colour: 'text-stop' },
  think: { icon: CircleHelp, colour: 'text-warn' },
  good: { icon: CircleCheck, colour: 'text-ok' },
  open: { icon: CircleDashed, colour: 'text-ink-2' },
}
const takeable = computed(() => report.value.document.fats.length > 0)

async function takeOver() {
  try {
    const id = await formulas.create({
      ...report.value.document,
      name: formulas.freeName('Recipe taken over'),
      notes: `Taken over from:\n${text.value}`.slice(0, 20_000),
    })
    await router.push(`/formulas/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Check a recipe</h1>
        <p class="text-ink-2">
          Somebody's fats, lye and water, as they wrote them. See what it really is before you make
          it.
        </p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
      <AppButton kind="main" :disabled="!takeable" @click="takeOver"
        >Take it over as a formula</AppButton
      >
    </div>
    <div class="grid gap-3.5 lg:grid-cols-[2fr_3fr_3fr]">
      <section class="sheet flex flex-col px-4 py-3">
        <label class="flex flex-1 flex-col gap-2">
          <h2>The recipe</h2>
          <textarea
            v-model="text"
            class="field min-h-64 flex-1 text-[15px]"
            maxlength="5000"
            placeholder="500g olive oil, 65 g NaOH, 150 ml water"
            aria-label="The recipe as written"
          />
        </label>
        <button v-if="!text" type="button" class="link mt-2 self-start" @click="text = example">
          Show me with an example
        </button>
      </section>
      <section class="sheet overflow-x-auto px-4 py-3" aria-label="What was understood">
        <h2 class="mb-1">What was understood</h2>
        <p v-if="!lines.length" class="text-ink-2">
          One thing to a line, or with commas: amount, unit, name.
        </p>
        <table v-else class="w-full">
          <thead class="sr-only">
            <tr>
              <th>As written</th>
              <th>Taken as</th>
              <th>Weight</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="(line, index) in lines"
              :key="index"
              class="border-t border-line-2 align-top first:border-t-0"
            >
              <td class="py-1.5 pr-3 text-ink-2">{{ line.text }}</td>
              <td class="py-1.5 pr-3">
                <template v-if="line.says"
                  ><b class="text-warn">{{ line.says }}</b></template
                >
                <template v-else
                  >{{ line.name }}
                  <small class="text-ink-2">{{ kinds[line.kind] }}</small></template
                >
              </td>
              <td class="figure py-1.5 text-right whitespace-nowrap">{{ amountOf(line) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="sheet" aria-label="What it is" aria-live="polite">
        <div class="grid grid-cols-2">
          <div class="border-r border-b border-line-2 px-4 py-2.5">
            <div class="text-sm text-ink-2">Superfat it really has</div>
            <output
              data-testid="superfat"
              class="figure block text-key font-[650]"
              :class="report.superfat !== null && report.superfat < 0 ? 'text-stop' : ''"
              >{{ report.superfat === null ? '–' : say.percent(report.superfat) }}</output
            >
          </div>
          <div class="border-b border-line-2 px-4 py-2.5">
            <div class="text-sm text-ink-2">Lye strength</div>
            <output class="figure block text-key font-[650]">{{
              report.strength === null ? '–' : say.percent(report.strength)
            }}</output>
            <div v-if="report.ratio !== null" class="figure text-sm text-ink-2">
              {{ say.ratio(report.ratio) }} water to lye
            </div>
          </div>
        </div>
        <ul>
          <li
            v-for="verdict in report.verdicts"
            :key="verdict.says"
            class="grid grid-cols-[20px_1fr] gap-x-2 border-t border-line-2 px-4 py-2.5 first:border-t-0"
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
        <p class="border-t border-line-2 px-4 py-2.5 text-sm text-ink-2">
          Lye is taken as pure; less pure flakes only raise the superfat. Millilitres of water count
          as grams.
        </p>
      </section>
    </div>
  </div>
</template>
