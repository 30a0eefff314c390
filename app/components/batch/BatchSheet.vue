<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { afterPlanOf } from '#core/bench/run/checks'
import { frozenLibrary } from '#core/formula/frozen'
import { makingOrder, type WeighLine } from '#core/formula/makingOrder'
import { patternOf } from '#core/formula/method'
import { onScale } from '#core/formula/onScale'
import { libraryIn } from '#core/materials/inUnits'
import { fillings } from '#core/mould/fillings'
import { sumOf } from '#core/statistics/sum'

/**
 * The paper to stand beside the pot: hours and dates, safety, every weight in the order of making with a blank beside it, pouring,
 * room for what was different. Black, greys and lines of 8 mm; the screen adds the colours of the substances.
 */
const { batch } = defineProps<{ batch: Batch }>()
const { say, settings } = storeToRefs(useWorkshop())

const library = computed(() => libraryIn(frozenLibrary(batch.frozen), say.value))
const document = computed(() => batch.frozen.document)
const onSheet = computed(() => onScale(document.value, library.value, settings.value.scale))
const agrees = computed(() => onSheet.value.secondOpinion.agrees)
const method = computed(() => document.value.method)
/** Pots with water of their own have lye of their own: then the table of pots says how much, and not the whole. */
const groups = computed(() => {
  let row = 0
  return makingOrder(onSheet.value.result, library.value)
    .filter(({ title }) => !(onSheet.value.ownJugs && (title === 'Water' || title === 'Lye')))
    .map((group) => {
      let pan = 0
      return {
        ...group,
        lines: group.lines.map((line) => {
          pan += group.title === 'Fats' ? line.grams : 0
          return { ...line, row: ++row, pan }
        }),
      }
    })
})
const rows = computed(() => sumOf(groups.value, ({ lines }) => lines.length))
const poured = computed(() => fillings(document.value.size, onSheet.value.result))
const colourOf = ({ substance, id }: WeighLine) => substanceColour(substance, id, library.value)

const after = computed(
  () =>
    afterPlanOf(document.value, onSheet.value.result, library.value, '2000-01-01T00:00:00Z').after,
)
const gel = {
  leave: 'Leave it to gel as it comes',
  force: 'Cover it and wrap it warm',
  prevent: 'Keep it cool, no gel',
} as const
const tool = {
  blender: 'blend in pulses',
  whisk: 'whisk and rest in turn',
  spoon: 'stir and rest in turn',
} as const
const code = computed(() => {
  const letters = batch.name
    .split(/\s+/)
    .map((word) => word.charAt(0).toUpperCase())
    .join('')
    .replace(/[^A-Z0-9]/g, '')
    .slice(0, 3)
  return `${letters || 'B'}-${batch.number}`
})
const address = computed(() => `${location.origin}/bench/${batch.id}/paper`)
const steps = computed(() => [
  {
    does: `Lye at ${say.value.temperature(method.value.lyeC)}, oils at ${say.value.temperature(method.value.oilsC)}, ${say.value.degreesApart(5)} apart at most`,
    blanks: ['lye', 'oils'],
  },
  { does: `Lye into oils, through a sieve; ${tool[method.value.tool]}`, blanks: ['at'] },
  {
    does: `Trace; pour: ${patternOf(document.value).replace(/-/g, ' ')}`,
    blanks: ['light', 'medium', 'poured'],
  },
  { does: `${gel[method.value.gel]}; look at it`, blanks: ['at', 'at'] },
  { does: 'Rinse jugs and cups, goggles still on', blanks: [] },
])
</script>

<template>
  <article class="sheet px-6 py-5 text-[14px] print:px-0 print:py-0" aria-label="Batch sheet">
    <header class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 print:flex-nowrap">
      <div class="flex items-center gap-4">
        <BarThumbnail
          :thumbnail="batch.thumbnail"
          :width="64"
          :height="44"
          class="print:grayscale"
        />
        <div>
          <h2 class="!text-[22px] leading-tight !font-bold !text-ink">
            {{ batch.name }}, batch {{ batch.number }}
          </h2>
          <p class="figure">
            {{ say.amount(onSheet.result.oils) }} of oils,
            {{ say.amount(onSheet.result.batter) }} of batter,
            {{ say.count(batch.bars, 'bar', 'bars') }}
          </p>
          <p class="figure">
            Superfat of these weights <b>{{ say.percent(onSheet.superfat, 2) }}</b>, asked
            {{ say.percent(onSheet.result.superfat.asked, 2) }}; water to lye
            {{ say.ratio(onSheet.result.water.ratio) }}
          </p>
        </div>
      </div>
      <div class="flex items-center gap-3 text-right text-[12px]">
        <p>
          <b class="block font-mono text-[15px]">{{ code }}</b>scan it to<br />write this up
        </p>
        <QrPicture
          :text="address"
          :says="`Code that leads to writing up batch ${batch.number}`"
          class="size-[22mm]"
        />
      </div>
    </header>
    <dl class="mt-3 grid grid-cols-2 border-2 border-ink sm:grid-cols-4 print:grid-cols-4">
      <div class="border-ink px-3 py-1.5 sm:border-r print:border-r">
        <dt class="text-[12px]">poured</dt>
        <dd class="mt-3">____________ at ________</dd>
      </div>
      <div class="border-ink px-3 py-1.5 sm:border-r print:border-r">
        <dt class="text-[12px]">unmould and cut</dt>
        <dd>
          <b class="figure">{{ after.unmould.from }} to {{ after.unmould.to }} h</b> after
          pouring<br />by ______________
        </dd>
      </div>
      <div class="border-ink px-3 py-1.5 sm:border-r print:border-r">
        <dt class="text-[12px]">test on</dt>
        <dd><b>day 2</b>, a strip on wet lather<br />______________</dd>
      </div>
      <div class="px-3 py-1.5">
        <dt class="text-[12px]">ready on</dt>
        <dd>
          <b class="figure">{{ batch.cure.days }} days</b> on the rack<br />______________
        </dd>
      </div>
    </dl>
    <section class="mt-3 border-2 border-ink px-3 py-2" aria-label="Safety">
      <h3 class="mb-1 font-bold text-stop print:text-black">Before the lye is opened</h3>
      <SafetyPictures boxes />
      <p class="mt-1 text-[12px]">
        Pure
        {{
          document.alkali.kohShare > 0
            ? 'sodium and potassium hydroxide, both labels read'
            : 'sodium hydroxide, its label read'
        }}; lye solution into the oils, never oils into lye. Local rules and the supplier’s safety
        sheet come first.
      </p>
    </section>
    <p
      v-if="!agrees"
      role="alert"
      class="mt-3 rounded-sm bg-stop px-4 py-3 font-semibold text-white"
    >
      The lye was worked out in two ways that do not agree, so it is not shown. Do not make this
      batch; check the formula.
    </p>
    <template v-else>
      <PotTable
        v-if="onSheet.result.parts.length && onSheet.ownJugs"
        :parts="onSheet.result.parts"
        :whole="onSheet.result"
        own-jugs
      />
      <table class="mt-2 w-full" :class="rows > 14 ? 'print:break-before-auto' : ''">
        <caption class="sr-only">
          Weights in the order of making
        </caption>
        <tbody v-for="group in groups" :key="group.title" class="break-inside-avoid">
          <tr>
            <th colspan="5" scope="rowgroup" class="border-b-2 border-ink pt-2.5 pb-0.5 text-left">
              <b class="text-[15px]">{{ group.title }}</b>
              <span class="ml-2 text-[12.5px] font-normal">{{ say.inUnits(group.how) }}</span>
            </th>
          </tr>
          <tr
            v-for="line in group.lines"
            :key="line.id"
            class="h-[8mm] border-b border-ink-3"
            :class="line.substance === 'lye' ? '!border-y-[3px] !border-ink' : ''"
          >
            <td class="figure w-7 font-bold">{{ line.row }}</td>
            <th scope="row" class="text-left font-medium">
              <i
                class="mr-2 inline-block size-3 rounded-[2px] border border-black/40 align-[-1px] print:hidden"
                :style="{ background: colourOf(line) }"
              />{{ line.name }}
              <span v-if="line.note">{{ line.note }}</span>
            </th>
            <td
              class="figure text-right text-[18px] font-bold whitespace-nowrap"
              :class="line.substance === 'lye' ? 'text-stop print:text-black' : ''"
              :data-testid="`weigh-${line.id}`"
            >
              {{ line.substance === 'lye' ? say.massDown(line.grams) : say.mass(line.grams) }}
            </td>
            <td class="w-60 pl-4 whitespace-nowrap max-sm:hidden print:table-cell">
              ________
              <small v-if="say.pounds(line.grams)" class="figure">{{
                say.pounds(line.grams)
              }}</small>
              <small v-else-if="line.pan > 0 && line.pan !== line.grams" class="figure"
                >pot shows <b>{{ say.massFigure(line.pan) }}</b></small
              >
            </td>
            <td class="w-6"><i class="block size-4 border-2 border-ink" aria-hidden="true" /></td>
          </tr>
        </tbody>
      </table>
      <PotTable
        v-if="onSheet.result.parts.length && !onSheet.ownJugs"
        :parts="onSheet.result.parts"
        :whole="onSheet.result"
        :own-jugs="false"
      />
      <ul v-if="onSheet.coarse.length" class="mt-1 text-[12.5px] font-semibold">
        <li v-for="cup in onSheet.coarse" :key="cup.pot">
          {{ cup.name ? `Cup “${cup.name}”` : 'This batch' }} is small for a scale of
          {{ scaleText(settings.scale) }}: half a step moves its superfat by
          {{ say.number(cup.points * 100, 1) }} points.
          <template v-if="cup.name"
            >Weigh the others first, the rest goes into the last cup.</template
          >
        </li>
      </ul>
      <section class="mt-2 break-inside-avoid" aria-label="Make and pour">
        <h3 class="border-b-2 border-ink pb-0.5 text-[15px] font-bold">Make and pour</h3>
        <ol>
          <li
            v-for="(step, index) in steps"
            :key="step.does"
            class="flex min-h-[8mm] flex-wrap items-end gap-x-4 border-b border-ink-3 pb-1 print:h-[8mm] print:flex-nowrap"
          >
            <b class="figure w-5">{{ rows + index + 1 }}</b>
            <span class="flex-1">{{ step.does }}</span>
            <span
              v-for="(blank, place) in step.blanks"
              :key="place"
              class="whitespace-nowrap max-sm:hidden print:inline"
              >{{ blank }} ________</span
            >
            <i class="mb-0.5 block size-4 border-2 border-ink" aria-hidden="true" />
          </li>
        </ol>
      </section>
      <section v-if="poured.length" aria-label="What goes where" class="mt-2">
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
    </template>
    <ForWhom
      class="mt-0.5 text-[11px] leading-[14px]"
      brief
      :document="document"
      :result="onSheet.result"
      :library="library"
    />
    <section
      aria-label="Room for notes"
      class="mt-2 hidden border-2 border-ink px-2 py-1 print:block print:min-h-[9mm]"
    >
      <h3 class="text-[12px]">what was different today</h3>
    </section>
    <footer class="mt-2 border-t-2 border-ink pt-1 text-[12px]">
      <p>
        Lye rounded down to {{ scaleText(settings.scale)
        }}{{
          onSheet.result.parts.length && !onSheet.ownJugs
            ? ', once in the one jug'
            : onSheet.ownJugs
              ? ' in each jug'
              : ''
        }}, here as on page and bench, and checked by a second, separate calculation. NaOH taken as
        {{ say.percent(document.alkali.naohPurity) }} pure.
        <span class="float-right font-mono font-bold">{{ code }}</span>
      </p>
      <p class="hidden print:block">
        Lye weighed by ____________________ looked over by ____________________
      </p>
      <ul v-if="Object.keys(batch.frozen.overruled).length">
        <li v-for="(reason, id) in batch.frozen.overruled" :key="id">
          <b>Overruled:</b>
          {{ batch.frozen.remarks.find((remark) => remark.id === id)?.says }} Because: {{ reason }}
        </li>
      </ul>
    </footer>
  </article>
</template>
