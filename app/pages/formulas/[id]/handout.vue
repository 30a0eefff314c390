<script setup lang="ts">
import { handout, variantKinds, type VariantKind } from '#core/learning/teaching'

/** A recipe to take home: whole and half in one unit, its variants, the way it is made and what to beware of. */
const formulas = useFormulas()
void formulas.load()
const { library } = storeToRefs(useMaterials())
const { settings, today } = storeToRefs(useWorkshop())
const kinds = ref<VariantKind[]>(['unscented', 'milder', 'less-water'])
const { id, formula, document, problem, unit, scale, say, weightOf } = useTeachingPaper()
useHead({ title: () => `${document.value?.name ?? 'Formula'} to take home · Mantle` })
const paper = computed(() =>
  document.value
    ? handout(document.value, library.value, kinds.value, scale.value, say.value)
    : null,
)
const agrees = computed(
  () => (paper.value?.whole.secondOpinion.agrees && paper.value.half.secondOpinion.agrees) ?? false,
)
const names: Record<VariantKind, string> = {
  unscented: 'without scent',
  plain: 'without extras',
  milder: 'milder',
  harder: 'cleans more',
  'less-water': 'less water',
}
const toggle = (kind: VariantKind) =>
  (kinds.value = variantKinds.filter((one) => (one === kind) !== kinds.value.includes(one)))
const method = computed(() => document.value!.method)
const steps = computed(() => [
  'Goggles, gloves and long sleeves on; children and pets out; a window open. Weigh everything before you begin.',
  'Weigh the lye into a dry cup, pour it into the cold water, never the other way round, and stir until it is clear. It gets nearly as hot as boiling water.',
  `Melt the fats. At ${say.value.temperature(method.value.lyeC)} for the lye and ${say.value.temperature(method.value.oilsC)} for the fats, no more than ${say.value.degreesApart(5)} apart, pour the lye into the fats.`,
  method.value.tool === 'blender'
    ? 'Blend in short pulses, stir in between, until it is even and a drizzle rests on top for a moment.'
    : 'Stir and rest in turn until a drizzle rests on top for a moment; by hand that may take most of an hour.',
  'Stir in what goes in last, pour, cover. Gloves stay on: it is caustic until it is soap.',
  'Unmould and cut when it is firm like cold cheese, after a day or three. Let the bars dry in moving air for four weeks at least; test before use.',
])
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/formulas" label="All formulas" />
  <PrintPage v-else-if="formula && document && paper" :title="`${document.name} to take home`">
    <template #actions><AppButton :to="`/formulas/${id}`">To the formula</AppButton></template>
    <form class="no-print mb-4 flex flex-wrap items-end gap-4" @submit.prevent>
      <OneOf
        v-model="unit"
        label="Unit of the paper"
        :options="[
          { is: 'metric', says: 'g' },
          { is: 'imperial', says: 'oz' },
        ]"
      />
      <fieldset>
        <legend class="text-[13px] text-ink-2">Variants</legend>
        <span class="flex flex-wrap gap-2">
          <button
            v-for="kind in variantKinds"
            :key="kind"
            type="button"
            class="chip"
            :class="{ on: kinds.includes(kind) }"
            :aria-pressed="kinds.includes(kind)"
            @click="toggle(kind)"
          >
            {{ names[kind] }}
          </button>
        </span>
      </fieldset>
    </form>
    <article class="sheet px-6 py-5 print:px-0 print:py-0" aria-label="Handout">
      <header class="flex items-center gap-4">
        <BarThumbnail
          :thumbnail="formulas.thumbnail(formula)"
          :width="64"
          :height="44"
          class="print:grayscale"
        />
        <div>
          <h2 class="!text-[22px] leading-tight !font-bold !text-ink">{{ document.name }}</h2>
          <p class="text-ink-2">
            {{ settings.name }}, {{ dayText(today, { long: true, today: '' }) }}.
            {{ say.percent(paper.whole.superfat, 1) }} superfat, water
            {{ say.ratio(paper.whole.result.water.ratio) }}.
          </p>
        </div>
      </header>
      <p v-if="!agrees" role="alert" class="mt-3 bg-stop px-4 py-3 font-semibold text-white">
        The lye was worked out in two ways that do not agree. Do not hand this out; check the
        formula.
      </p>
      <table class="figure mt-4 w-full">
        <thead>
          <tr class="border-b-2 border-ink">
            <th scope="col" class="py-1 text-left">Weigh</th>
            <th scope="col" class="w-[28mm] text-right">whole</th>
            <th scope="col" class="w-[28mm] text-right">half</th>
          </tr>
        </thead>
        <PaperGroups v-slot="{ line }" :groups="paper.groups">
          <td class="text-right font-[650]">{{ weightOf(line.substance, line.grams, agrees) }}</td>
          <td class="text-right">{{ weightOf(line.substance, line.half, agrees) }}</td>
        </PaperGroups>
      </table>
      <section v-if="paper.variants.length" class="mt-4">
        <h3 class="font-bold">Variants: only these weights change</h3>
        <table class="figure w-full">
          <tbody v-for="variant in paper.variants" :key="variant.kind">
            <tr>
              <th scope="colgroup" colspan="3" class="pt-2 text-left text-[13px]">
                {{ variant.says }}
              </th>
            </tr>
            <tr v-for="line in variant.lines" :key="line.id" class="h-[6mm] border-t border-line-3">
              <th scope="row" class="pl-4 text-left font-normal">{{ line.name }}</th>
              <td class="w-[28mm] text-right font-[650]">
                {{ line.whole ? weightOf(line.substance, line.whole, agrees) : 'none' }}
              </td>
              <td class="w-[28mm] text-right">
                {{ line.half ? weightOf(line.substance, line.half, agrees) : 'none' }}
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <ol class="mt-4 grid list-decimal gap-1 pl-5">
        <li v-for="step in steps" :key="step">{{ step }}</li>
      </ol>
      <p class="mt-3 border-t border-line pt-2 text-[12px] text-ink-2">
        Weigh, never measure by volume; change a fat or an amount and the lye changes too. Lye burns
        skin and blinds: on skin running water at once, in an eye fifteen minutes of water, then a
        doctor ({{ settings.emergency.ambulance }}). No aluminium. Local rules and the supplier’s
        safety sheet come first.
      </p>
    </article>
  </PrintPage>
</template>
