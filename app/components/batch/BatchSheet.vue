<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { libraryOf } from '#core/formula/freeze'
import { makingOrder, type WeighLine } from '#core/formula/makingOrder'
import { onScale } from '#core/formula/onScale'
import { libraryIn } from '#core/materials/inUnits'
import { fillings } from '#core/mould/fillings'

/** The one page to stand beside the pot: weights in the order of making, safety, room for notes. */
const { batch } = defineProps<{ batch: Batch }>()
const { say, settings } = storeToRefs(useWorkshop())

const library = computed(() => libraryIn(libraryOf(batch.frozen), say.value))
const onSheet = computed(() => onScale(batch.frozen.document, library.value, settings.value.scale))
/** Pots with water of their own have lye of their own: then the table of pots says how much, and not the whole. */
const lyeByPot = computed(() => batch.frozen.document.parts.some((part) => part.water))
const groups = computed(() =>
  makingOrder(onSheet.value.result, library.value).filter(
    ({ title }) => !(lyeByPot.value && (title === 'Water' || title === 'Lye')),
  ),
)
const poured = computed(() => fillings(batch.frozen.document.size, onSheet.value.result))
const agrees = computed(() => onSheet.value.secondOpinion.agrees)
const method = computed(() => batch.frozen.document.method)
const gel = {
  leave: 'as it comes',
  force: 'force it: wrap warm',
  prevent: 'prevent it: keep cool',
} as const
const colourOf = ({ substance, id }: WeighLine) => substanceColour(substance, id, library.value)
const safety = [
  'Goggles, gloves, long sleeves, closed shoes, until everything is rinsed. Open a window.',
  'Children and pets out. Lye cup never left alone; spills wiped at once.',
  'Lye into water, never water onto lye: it erupts. Lye solution into the oils.',
  'Pure sodium hydroxide only. No aluminium, no thin glass: stainless steel, PP or HDPE.',
  'On skin: rinse long with running water. In an eye: rinse 15 minutes and get medical help.',
]
</script>

<template>
  <article
    class="sheet px-6 py-5 print:flex print:min-h-[266mm] print:flex-col print:px-0 print:py-0"
    aria-label="Batch sheet"
  >
    <header
      class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 border-b-2 border-ink pb-2.5"
    >
      <div class="flex items-center gap-3">
        <BarFace :face="batch.face" :width="58" :height="38" />
        <div>
          <h2 class="text-[20px] leading-tight font-bold text-ink">
            {{ batch.name }}, batch {{ batch.number }}
          </h2>
          <p class="figure text-ink-2">
            {{ say.amount(onSheet.result.oils) }} of oils ·
            {{ say.amount(onSheet.result.batter) }} of batter · {{ batch.bars }}
            {{ batch.bars === 1 ? 'bar' : 'bars' }}
          </p>
        </div>
      </div>
      <dl class="figure grid grid-cols-[auto_auto] gap-x-3 text-sm">
        <dt class="text-ink-2">Superfat of these weights</dt>
        <dd class="text-right font-[650]">{{ say.percent(onSheet.superfat, 2) }}</dd>
        <dt class="text-ink-2">Water to lye</dt>
        <dd class="text-right font-[650]">{{ say.ratio(onSheet.result.water.ratio) }}</dd>
        <dt class="text-ink-2">Lye solution · oils at</dt>
        <dd class="text-right font-[650]">
          {{ say.temperature(method.lyeC) }} · {{ say.temperature(method.oilsC) }}
        </dd>
      </dl>
    </header>
    <section class="my-3 rounded-sm border-2 border-stop px-3 py-2" aria-label="Safety">
      <h3 class="font-bold text-stop">Before the lye is opened</h3>
      <ul class="grid gap-x-5 text-[13px] sm:grid-cols-2 print:grid-cols-2">
        <li v-for="line in safety" :key="line" class="flex gap-2">
          <span aria-hidden="true">☐</span>{{ line }}
        </li>
      </ul>
    </section>
    <p v-if="!agrees" role="alert" class="rounded-sm bg-stop px-4 py-3 font-semibold text-white">
      The lye was worked out in two ways that do not agree, so it is not shown. Do not make this
      batch; check the formula.
    </p>
    <table v-else class="w-full">
      <caption class="sr-only">
        Weights in the order of making
      </caption>
      <tbody v-for="group in groups" :key="group.title" class="break-inside-avoid">
        <tr>
          <th colspan="4" scope="rowgroup" class="border-b border-line pt-2 pb-0.5 text-left">
            <b class="text-[15px]">{{ group.title }}</b>
            <span class="ml-2 text-[13px] font-normal text-ink-2">{{
              say.inUnits(group.how)
            }}</span>
          </th>
        </tr>
        <tr v-for="line in group.lines" :key="line.id" class="border-b border-line-2">
          <td class="w-5 py-1">
            <i
              class="block size-3 rounded-[2px] border border-black/15"
              :style="{ background: colourOf(line) }"
            />
          </td>
          <th
            scope="row"
            class="py-1 text-left font-medium"
            :class="line.substance === 'lye' ? 'text-stop' : ''"
          >
            {{ line.name }}
          </th>
          <td
            class="figure py-1 text-right text-[17px] font-[650] whitespace-nowrap"
            :class="line.substance === 'lye' ? 'text-stop' : ''"
            :data-testid="`weigh-${line.id}`"
          >
            {{ line.note }} {{ say.mass(line.grams) }}
          </td>
          <td
            class="w-40 py-1 pl-4 text-sm whitespace-nowrap text-ink-3 max-sm:hidden print:table-cell"
          >
            weighed ____________ ☐
          </td>
        </tr>
      </tbody>
    </table>
    <PotTable
      v-if="agrees && onSheet.result.parts.length"
      :parts="onSheet.result.parts"
      :whole="onSheet.result"
    />
    <section v-if="agrees && poured.length" aria-label="What goes where" class="mt-2">
      <h3 class="text-[15px] font-bold">Into the moulds</h3>
      <ul class="figure">
        <li v-for="(filling, index) in poured" :key="index" class="flex justify-between gap-4">
          <span>{{ filling.name || 'the mould' }}</span>
          <span>
            <template v-if="filling.each"
              >{{ filling.each.count }} × {{ say.amount(filling.each.grams) }} =
            </template>
            <b class="font-[650]">{{ say.amount(filling.grams) }}</b>,
            {{ say.percent(filling.millilitres / filling.capacity, 0) }} full
          </span>
        </li>
      </ul>
    </section>
    <p class="mt-2 text-[12.5px] text-ink-2">
      Lye rounded down to the scale's {{ settings.scale }} g and checked by a second, separate
      calculation. NaOH taken as {{ say.percent(batch.frozen.document.alkali.naohPurity) }} pure.
      Gel: {{ gel[method.gel] }}. Cure {{ batch.cure.days }} days.
    </p>
    <ul v-if="Object.keys(batch.frozen.overruled).length" class="mt-1 text-[12.5px]">
      <li v-for="(reason, id) in batch.frozen.overruled" :key="id">
        <b>Overruled:</b>
        {{ batch.frozen.remarks.find((remark) => remark.id === id)?.says }} Because: {{ reason }}
      </li>
    </ul>
    <section aria-label="Room for notes" class="mt-3 hidden flex-1 flex-col print:flex">
      <h3 class="font-semibold text-ink-2">
        Notes: temperatures, trace, anything that was different
      </h3>
      <div
        class="min-h-[25mm] flex-1"
        style="background: repeating-linear-gradient(transparent 0 8.2mm, #b9c3c0 8.2mm 8.5mm)"
      />
    </section>
  </article>
</template>
