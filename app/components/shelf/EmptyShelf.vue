<script setup lang="ts">
import { scaleSteps } from '#contracts/words'
import type { FormulaDocument } from '#contracts/formula'
import { blankFormula } from '#core/formula/blank'
import { thumbnailOf } from '#core/batter/thumbnail'
import { onScale } from '#core/formula/onScale'
import { cureRuleFor } from '#core/rack/cure'
import { addDays } from '#core/units/days'
import { driedGrams } from '#core/formula/size'
import { Printer } from '@lucide/vue'

/** A workshop that has nothing yet: what its scale shows, three steps, the safety of lye, one worked example. */
const emit = defineEmits<{ start: [] }>()
const workshop = useWorkshop()
const { settings, say, today } = storeToRefs(workshop)
const { library } = storeToRefs(useMaterials())
const formulas = useFormulas()
const toasts = useToasts()
const router = useRouter()

const steps = computed(() =>
  scaleSteps
    .filter(
      ({ units, grams }) =>
        units === settings.value.units &&
        (units === 'imperial' || grams === 1 || grams === 0.1 || grams === 0.01),
    )
    .sort((a, b) => b.grams - a.grams),
)
async function answer(
  question: 'scale' | 'weights',
  changes: Parameters<typeof workshop.answer>[1],
) {
  try {
    await workshop.answer(question, changes)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
/** Two fats, a carton, a kitchen scale: what a first soap is made of. */
const example = computed<FormulaDocument>(() => ({
  ...blankFormula('Two fats in a carton', settings.value.begin),
  size: {
    by: 'moulds',
    moulds: [
      {
        name: 'Coated carton, 195 × 70 × 60 mm',
        mould: { shape: 'box', lengthMm: 195, widthMm: 70, depthMm: 60 },
        fill: 0.9,
      },
    ],
  },
  superfat: 0.05,
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
  ],
}))
const shown = computed(() => onScale(example.value, library.value, settings.value.scale).result)
const rows = computed(() => [
  ...shown.value.fats.map(({ id, name, grams }) => ({
    name: name.split(',')[0]!,
    grams: say.value.mass(grams),
    colour: substanceColour('fat', id, library.value),
    weight: grams,
  })),
  {
    name: 'Water',
    grams: say.value.mass(shown.value.water.weighed),
    colour: 'var(--color-water)',
    weight: shown.value.water.weighed,
  },
  {
    name: 'Lye',
    grams: say.value.massDown(shown.value.lye.naoh),
    colour: 'var(--color-lye)',
    weight: shown.value.lye.naoh,
  },
])
const lye = computed(() => say.value.massDown(shown.value.lye.naoh))
const bars = 7
const ready = computed(() => addDays(today.value, cureRuleFor(shown.value).days))
const thumbnail = computed(() => thumbnailOf(example.value, library.value))
async function open(print: boolean) {
  try {
    const id = await formulas.create({ ...example.value, name: formulas.freeName('My first soap') })
    await router.push(print ? { path: `/formulas/${id}`, query: { make: '1' } } : `/formulas/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-5 sm:px-6">
    <div class="mb-5 flex flex-wrap items-end justify-between gap-4">
      <div>
        <h1>An empty shelf. Six weeks from now there can be soap on it.</h1>
        <p class="mt-1.5 text-ink-2">
          {{ dayText(today, { weekday: true, long: true }) }}. Nothing is due, nothing is promised.
        </p>
        <p class="mt-1.5">
          Never made soap?
          <NuxtLink to="/journal/first" class="link">Your first one, in nine steps</NuxtLink>
        </p>
      </div>
      <div class="flex flex-wrap gap-5">
        <div>
          <p class="mb-1 text-sm text-ink-2" aria-hidden="true">What does your scale show?</p>
          <OneOf
            label="What does your scale show?"
            class="figure"
            :model-value="settings.scale"
            :options="steps.map(({ grams, says }) => ({ is: grams as number, says }))"
            @update:model-value="answer('scale', { scale: $event })"
          />
        </div>
        <div>
          <p class="mb-1 text-sm text-ink-2" aria-hidden="true">Weights</p>
          <OneOf
            label="Weights"
            :model-value="settings.units"
            :options="[
              { is: 'metric', says: 'grams' },
              { is: 'imperial', says: 'ounces' },
            ]"
            @update:model-value="
              answer('weights', {
                units: $event,
                scale: $event === 'metric' ? 1 : 2.8349523125,
              })
            "
          />
        </div>
      </div>
    </div>
    <ol class="grid gap-4 lg:grid-cols-3">
      <li class="sheet flex flex-col px-4 py-4">
        <h2 class="mb-3 flex items-center gap-3 text-[17px] !font-bold !text-ink">
          <span class="grid size-7 place-items-center rounded-sm bg-slate text-white">1</span>Write
          what goes in
        </h2>
        <svg viewBox="0 0 360 140" class="h-36 w-full" aria-hidden="true" font-size="13">
          <rect
            x="4"
            y="12"
            width="120"
            height="28"
            rx="4"
            fill="#fff"
            stroke="var(--color-line-3)"
          />
          <text x="16" y="31" font-style="italic">olive 70%</text>
          <rect
            x="4"
            y="50"
            width="120"
            height="28"
            rx="4"
            fill="#fff"
            stroke="var(--color-line-3)"
          />
          <text x="16" y="69" font-style="italic">coconut 30%</text>
          <path
            d="M124 26 h44 v72 h26 M124 64 h30 v14 h40"
            fill="none"
            stroke="var(--color-line-3)"
          />
          <path d="M198 84 h72 l-5 44 q0 4 -4 4 h-54 q-4 0 -4 -4 z" fill="#8f9b3a" />
          <path d="M196 64 h76 l-2 20 h-72 z" fill="#e2c97f" />
          <path d="M194 44 h80 l-2 20 h-76 z" fill="#5b93b5" />
          <path d="M193 34 h82 l-1 10 h-80 z" fill="#d5432a" />
          <path
            d="M189 4 l10 124 q0 6 6 6 h58 q6 0 6 -6 l10 -124"
            fill="none"
            stroke="var(--color-ink)"
            stroke-width="2.5"
          />
          <text x="284" y="40" fill="#b3261e" font-weight="700">lye</text>
          <text x="284" y="58">water</text>
          <text x="284" y="80">coconut</text>
          <text x="284" y="112">olive</text>
        </svg>
        <p class="mb-3">
          Type the fats and how much of each. Mantle works out lye and water, and says what kind of
          bar it will be.
        </p>
        <div class="mt-auto flex flex-wrap items-center gap-4">
          <AppButton kind="main" @click="emit('start')">Write the first formula</AppButton>
          <AppButton kind="link" to="/formulas/check">Check a recipe</AppButton>
        </div>
      </li>
      <li class="sheet flex flex-col px-4 py-4">
        <h2 class="mb-3 flex items-center gap-3 text-[17px] !font-bold !text-ink">
          <span class="grid size-7 place-items-center rounded-sm bg-slate text-white">2</span>Make
          it, one thing at a time
        </h2>
        <svg viewBox="0 0 360 140" class="h-36 w-full" aria-hidden="true">
          <text x="22" y="22" font-size="13">lye in its own cup</text>
          <path
            d="M44 36 h64 l-8 56 h-48 z"
            fill="#fff"
            stroke="var(--color-ink)"
            stroke-width="2.5"
          />
          <path d="M48 66 h56 l-4 26 h-48 z" fill="#d5432a" />
          <path d="M34 97 h84" stroke="var(--color-ink)" stroke-width="3" />
          <rect x="26" y="101" width="100" height="22" rx="3" fill="#20292b" />
          <text x="76" y="117" text-anchor="middle" fill="#fff" font-size="13" font-weight="700">
            {{ lye }}
          </text>
          <rect x="176" y="14" width="166" height="112" rx="4" fill="#171d1f" />
          <text x="190" y="38" fill="#b9c5c3" font-size="13">Step 3</text>
          <text x="190" y="90" fill="#f2ead6" font-size="46" font-weight="700">{{ lye }}</text>
          <rect x="190" y="104" width="138" height="9" fill="#2d393b" />
          <rect x="190" y="104" width="112" height="9" fill="#d5432a" />
        </svg>
        <p class="mb-3">
          The bench shows one number, large enough for gloves and arm’s length. Or print the plan on
          one page.
        </p>
        <div class="mt-auto flex flex-wrap items-center gap-4">
          <AppButton to="/bench">Rehearse without lye</AppButton>
        </div>
      </li>
      <li class="sheet flex flex-col px-4 py-4">
        <h2 class="mb-3 flex items-center gap-3 text-[17px] !font-bold !text-ink">
          <span class="grid size-7 place-items-center rounded-sm bg-slate text-white">3</span>Follow
          it until it is dry
        </h2>
        <svg viewBox="0 0 360 140" class="h-36 w-full" aria-hidden="true" font-size="13">
          <g
            v-for="(plank, index) in [
              [4, 116, 'day 1: cut it'],
              [128, 92, 'day 2: test it'],
              [246, 64, '6 weeks: dry'],
            ] as const"
            :key="index"
          >
            <rect :x="plank[0]" :y="plank[1]" width="110" height="7" fill="#7d8784" />
            <rect
              v-for="bar in 5"
              :key="bar"
              :x="plank[0] + 4 + (bar - 1) * 20"
              :y="plank[1] - 30"
              width="16"
              height="30"
              rx="3"
              fill="#ead7a0"
              stroke="#6b7775"
            />
            <text :x="plank[0] + 4" :y="plank[1] - 38">{{ plank[2] }}</text>
          </g>
        </svg>
        <p class="mb-3">
          Mantle says when to cut, when to test and when a bar is dry, from what you weigh and what
          you see.
        </p>
        <div class="mt-auto flex flex-wrap items-center gap-4">
          <AppButton to="/rack">To the rack</AppButton>
          <AppButton kind="link" to="/explained">Why six weeks?</AppButton>
        </div>
      </li>
    </ol>
    <div class="mt-4 grid gap-4 lg:grid-cols-[680fr_536fr]">
      <section class="sheet !border-lye px-4 py-4" aria-label="Safety">
        <h2 class="mb-3 border-l-[6px] border-lye pl-3 text-[17px] !font-bold !text-ink">
          Lye burns. Before it is opened, every time
        </h2>
        <SafetyPictures />
        <p class="mt-3 border-t border-line-2 pt-3 text-ink-2">
          Your supplier’s safety sheet and local rules come before Mantle’s reminders.
          <NuxtLink to="/emergency" class="link">If it happens, on one page</NuxtLink>
        </p>
      </section>
      <section class="sheet px-4 py-4" aria-label="A worked example">
        <div class="mb-3 flex items-center gap-3">
          <BarThumbnail :thumbnail="thumbnail" :width="52" :height="36" />
          <div>
            <p class="font-semibold text-ink-2">A worked example</p>
            <h2 class="text-[17px] !font-bold !text-ink">
              Two fats, a carton 195 × 70 × 60 mm, a kitchen scale
            </h2>
          </div>
        </div>
        <div class="grid gap-4 sm:grid-cols-[1fr_1fr]">
          <table class="figure w-full">
            <tbody>
              <tr v-for="row in rows" :key="row.name" class="border-t border-line-2">
                <th scope="row" class="py-1.5 text-left font-normal">
                  <i
                    class="mr-2.5 inline-block h-4 w-3 rounded-[2px] align-[-3px]"
                    :style="{ background: row.colour }"
                  />{{ row.name }}
                </th>
                <td class="py-1.5 text-right font-[650]">{{ row.grams }}</td>
              </tr>
            </tbody>
          </table>
          <div>
            <div class="flex gap-1 border-b-[6px] border-plank pb-0">
              <BarThumbnail
                v-for="bar in bars"
                :key="bar"
                :thumbnail="thumbnail"
                :width="24"
                :height="36"
              />
            </div>
            <p class="figure mt-2">
              <b>{{ bars }} bars</b> of {{ say.amount(shown.batter / bars) }},
              {{ say.amount(driedGrams(shown) / bars) }} when dry.
            </p>
            <p class="mt-1 text-ink-2">
              Poured today: cut tomorrow, ready
              <b class="text-ink">{{ dayText(ready, { today, long: true }) }}</b>
            </p>
          </div>
        </div>
        <div class="mt-4 flex flex-wrap items-center gap-3">
          <AppButton @click="open(false)">Open it as your own</AppButton>
          <AppButton @click="open(true)"><Printer :size="16" /> Print its plan</AppButton>
          <NuxtLink to="/explained" class="link ml-auto">Why {{ lye }}?</NuxtLink>
        </div>
      </section>
    </div>
  </div>
</template>
