<script setup lang="ts">
import type { LabelDesign } from '#contracts/label'
import { pageSizes } from '#contracts/labelWords'
import { pageMm, placesOf, sheetFits } from '#core/label/sheet'
import type { LabelEditing } from '~/composables/useLabelDesign'

/** The sheet that labels lie on: how many are used already, and where the next one begins. */
const { editing, count } = defineProps<{ editing: LabelEditing; count: number }>()
const from = defineModel<number>({ required: true })
const { say } = storeToRefs(useWorkshop())
const design = computed(() => editing.design.value!)
const each = computed(() => design.value.sheet.columns * design.value.sheet.rows)
watch(each, (now) => (from.value = Math.min(from.value, now)))
const page = computed(() => pageMm[design.value.sheet.page])
const spots = computed(() =>
  placesOf(design.value, each.value).map((place, nth) => ({ ...place, nth: nth + 1 })),
)
const last = computed(() => from.value + count - 1)
const sheets = computed(() => Math.ceil(last.value / each.value))
const blank = computed(() => sheets.value * each.value - last.value)
const fits = computed(() => sheetFits(design.value))
const isUsed = (nth: number) => nth < from.value
const isTaken = (nth: number) => nth >= from.value && nth <= last.value
type Sheet = LabelDesign['sheet']
const set = (changes: Partial<Sheet>) =>
  editing.set({ ...design.value, sheet: { ...design.value.sheet, ...changes } }, 'sheet')
const figures = [
  { key: 'columns', says: 'Across', min: 1, max: 20, decimals: 0 },
  { key: 'rows', says: 'Down', min: 1, max: 40, decimals: 0 },
  { key: 'left', says: 'Left edge, mm', min: 0, max: 200, decimals: 1 },
  { key: 'top', says: 'Top edge, mm', min: 0, max: 200, decimals: 1 },
  { key: 'pitchX', says: 'To the next across, mm', min: 1, max: 420, decimals: 1 },
  { key: 'pitchY', says: 'To the next down, mm', min: 1, max: 420, decimals: 1 },
] as const
</script>

<template>
  <section class="sheet px-4 py-3" aria-label="The sheet">
    <div class="flex gap-4">
      <svg
        :viewBox="`0 0 ${page[0]} ${page[1]}`"
        class="h-[164px] shrink-0"
        role="group"
        aria-label="Where the first one goes"
      >
        <rect :width="page[0]" :height="page[1]" fill="#fff" stroke="#182022" stroke-width="1.4" />
        <g
          v-for="spot in spots"
          :key="spot.nth"
          role="button"
          tabindex="0"
          class="cursor-pointer focus-visible:outline-2"
          :aria-label="`Begin at place ${spot.nth}`"
          :aria-pressed="from === spot.nth"
          @click="from = spot.nth"
          @keydown.enter.prevent="from = spot.nth"
          @keydown.space.prevent="from = spot.nth"
        >
          <rect
            :x="spot.x"
            :y="spot.y"
            :width="design.width"
            :height="design.height"
            :rx="design.form === 'round' ? design.width / 2 : design.corner"
            :fill="isTaken(spot.nth) ? '#e0cf98' : '#fff'"
            :stroke="isUsed(spot.nth) ? '#9aa6a5' : '#182022'"
            :stroke-dasharray="isUsed(spot.nth) ? '3 2' : undefined"
            stroke-width="1"
          />
          <text
            :x="spot.x + design.width / 2"
            :y="spot.y + design.height / 2 + 3.6"
            text-anchor="middle"
            :font-size="Math.min(12, design.height * 0.5)"
            :font-weight="from === spot.nth ? 700 : 400"
            fill="#182022"
          >
            {{ spot.nth }}
          </text>
        </g>
      </svg>
      <div class="grid content-start gap-1.5 text-[13.5px]">
        <p class="font-semibold text-ink-2">
          Sheet: {{ design.sheet.page }}, {{ design.sheet.columns }} × {{ design.sheet.rows }}
        </p>
        <p>
          Starts at <b>{{ from }}</b><template v-if="from > 1">: {{ from - 1 }} used</template>.
          {{ say.count(count, 'goes', 'go') }} on<template v-if="sheets > 1"
            >, over {{ sheets }} sheets</template
          ><template v-if="blank">, {{ blank }} blank left</template>.
        </p>
        <p v-if="!fits" role="alert" class="font-semibold text-stop">
          So many do not lie on this page beside each other.
        </p>
        <p class="text-ink-2">Touch a place to start there.</p>
      </div>
    </div>
    <details class="mt-2">
      <summary class="cursor-pointer font-semibold">Another sheet</summary>
      <div class="mt-2 flex flex-wrap gap-3 text-[13px]">
        <FieldRow says="Page">
          <select
            class="field font-normal"
            :value="design.sheet.page"
            @change="set({ page: ($event.target as HTMLSelectElement).value as Sheet['page'] })"
          >
            <option v-for="size in pageSizes" :key="size" :value="size">
              {{ size === 'LETTER' ? 'Letter' : size }}
            </option>
          </select>
        </FieldRow>
        <label class="flex items-center gap-2 self-end pb-2 font-semibold"
          ><input
            type="checkbox"
            :checked="design.sheet.edges"
            @change="set({ edges: ($event.target as HTMLInputElement).checked })"
          />
          Hairlines to cut along</label
        >
        <LabelledNumber
          v-for="one in figures"
          :key="one.key"
          :says="one.says"
          width="w-24"
          :decimals="one.decimals"
          :min="one.min"
          :max="one.max"
          :model-value="design.sheet[one.key]"
          @update:model-value="(value) => value !== null && set({ [one.key]: value })"
        />
      </div>
    </details>
  </section>
</template>
