<script setup lang="ts">
import type { StoredFormula } from '#contracts/workshop'
import { makingOrder } from '#core/formula/makingOrder'
import { patternsOf } from '#core/formula/method'
import { onScale } from '#core/formula/onScale'
import { barsOf } from '#core/mould/bars'
import { purposeNames } from '~/utils/purposeNames'

/** A formula on paper, to file or to hand on: what is in it and what follows. A batch has a sheet of its own, with blanks. */
const id = String(useRoute().params.id)
const formula = shallowRef<StoredFormula | null>(null)
const problem = ref('')
const formulas = useFormulas()
const moulds = useMoulds()
const { library } = storeToRefs(useMaterials())
const { say, settings, today } = storeToRefs(useWorkshop())
onMounted(async () => {
  void formulas.load()
  void moulds.load()
  try {
    formula.value = await api.get<StoredFormula>(`/api/formulas/${id}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const document = computed(() => formula.value?.document)
useHead({ title: () => `${document.value?.name ?? 'Formula'}, on paper · Mantle` })

const weighed = computed(() =>
  document.value ? onScale(document.value, library.value, settings.value.scale) : null,
)
const groups = computed(() =>
  weighed.value ? makingOrder(weighed.value.result, library.value) : [],
)
const shareOf = (fat: string) => {
  const share = weighed.value?.result.fats.find((one) => one.id === fat)?.share
  return share === undefined ? '' : say.value.percent(share, 2)
}
const figures = computed(() => {
  if (!weighed.value || !document.value) return []
  const { result, superfat } = weighed.value
  const { method } = document.value
  const bars = barsOf(document.value, result.batter, moulds.documents)
  return [
    ['Superfat of these weights', say.value.percent(superfat, 2)],
    ['Water to lye', say.value.ratio(result.water.ratio)],
    ['Oils', say.value.amount(result.oils)],
    ['Batter', say.value.amount(result.batter)],
    [
      'Bars',
      `${bars} of ${say.value.amount(result.batter / bars)}, long dried ${say.value.amount(result.longDried / bars)}`,
    ],
    [
      'Lye and oils at',
      `${say.value.temperature(method.lyeC)}, ${say.value.temperature(method.oilsC)}`,
    ],
    ['Gel', { leave: 'as it comes', force: 'forced', prevent: 'prevented' }[method.gel]],
    ['Pour', say.value.list(patternsOf(document.value).map((one) => one.replace(/-/g, ' ')))],
  ]
})
const address = computed(() => `${location.origin}/formulas/${id}`)
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/formulas" label="All formulas" />
  <PrintPage v-else-if="formula && document && weighed" :title="`${document.name}, on paper`">
    <template #actions><AppButton :to="`/formulas/${id}`">To the formula</AppButton></template>
    <article class="sheet px-6 py-5 print:px-0 print:py-0" aria-label="Formula on paper">
      <header class="flex items-start justify-between gap-6">
        <div class="flex items-center gap-4">
          <BarThumbnail
            :thumbnail="formulas.thumbnail(formula)"
            :width="64"
            :height="44"
            class="print:grayscale"
          />
          <div>
            <h2 class="!text-[22px] leading-tight !font-bold !text-ink">{{ document.name }}</h2>
            <p class="text-ink-2">
              {{ purposeNames[document.use] }}, as of
              {{ dayText(today, { long: true, today: '' }) }}
            </p>
          </div>
        </div>
        <QrPicture
          :text="address"
          :says="`Code that leads to ${document.name}`"
          class="size-[22mm]"
        />
      </header>
      <p
        v-if="!weighed.secondOpinion.agrees"
        role="alert"
        class="mt-3 bg-stop px-4 py-3 font-semibold text-white"
      >
        The lye was worked out in two ways that do not agree. Do not make this; check the formula.
      </p>
      <div class="mt-4 grid gap-6 sm:grid-cols-[3fr_2fr] print:grid-cols-[3fr_2fr]">
        <table class="figure w-full self-start">
          <tbody v-for="group in groups" :key="group.title">
            <tr>
              <th scope="colgroup" colspan="3" class="pt-3 pb-1 text-left text-[13px] text-ink-2">
                {{ group.title }}
              </th>
            </tr>
            <tr v-for="line in group.lines" :key="line.id" class="h-[7mm] border-t border-line-3">
              <th
                scope="row"
                class="text-left font-normal"
                :class="line.substance === 'lye' ? 'font-bold text-stop print:text-black' : ''"
              >
                {{ line.name }}
              </th>
              <td class="text-right text-ink-2">
                {{ line.substance === 'fat' ? shareOf(line.id) : '' }}
              </td>
              <td class="text-right font-[650]">
                {{
                  weighed.secondOpinion.agrees || line.substance !== 'lye'
                    ? line.substance === 'lye'
                      ? say.massDown(line.grams)
                      : say.mass(line.grams)
                    : '–'
                }}
              </td>
            </tr>
          </tbody>
        </table>
        <dl class="figure self-start">
          <div
            v-for="[name, value] in figures"
            :key="name"
            class="flex justify-between gap-4 border-b border-line-2 py-1.5"
          >
            <dt class="text-ink-2">{{ name }}</dt>
            <dd class="text-right font-[650]">{{ value }}</dd>
          </div>
        </dl>
      </div>
      <ForWhom
        v-if="weighed"
        class="mt-4"
        brief
        :document="document"
        :result="weighed.result"
        :library="library"
      />
      <p v-if="document.notes" class="typed mt-4 whitespace-pre-line">{{ document.notes }}</p>
      <p class="mt-4 border-t border-line pt-2 text-[12px] text-ink-2">
        Lye burns: goggles and gloves, lye into water and never water onto lye, no aluminium. Local
        rules and the supplier’s safety sheet come first. To make it, make a batch: its sheet has
        the steps and a blank beside every weight.
      </p>
    </article>
  </PrintPage>
</template>
