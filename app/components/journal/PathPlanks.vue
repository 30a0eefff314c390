<script setup lang="ts">
import { planks, type Plank } from '#contracts/firstSoap'
import { Check } from '@lucide/vue'

/** Nine planks that climb to the mantle: what is done, where one is, what is to come. */
const { done, at, here } = defineProps<{
  done: Partial<Record<Plank, string>>
  at: Plank
  here: Plank | null
}>()
defineEmits<{ choose: [plank: Plank] }>()
const { today } = storeToRefs(useWorkshop())
const words: Record<Plank, [name: string, says: string]> = {
  kitchen: ['The kitchen', 'what it has'],
  formula: ['Calm formula', 'olive, coconut'],
  lye: ['Meet the lye', 'read, and ask'],
  dry: ['Dry run', 'water and blue dye'],
  rehearsal: ['Rehearsal', 'the bench, no lye'],
  batch: ['First batch', 'a free morning'],
  cut: ['Day 1', 'out and cut'],
  weigh: ['Day 7', 'first weighing'],
  wash: ['Day 28', 'wash with it'],
}
const saysOf = (plank: Plank) =>
  done[plank] ? `done ${dayText(done[plank], { today: today.value })}` : words[plank][1]
const row = useTemplateRef<HTMLElement>('row')
watch(
  () => at,
  async () => {
    await nextTick()
    intoMiddle(row.value)
  },
  { immediate: true },
)
</script>

<template>
  <ol ref="row" class="flex overflow-x-auto pb-1 [--step:4px] sm:[--step:14px]" aria-label="Planks">
    <li v-for="(plank, place) in planks" :key="plank" class="min-w-[104px] flex-1">
      <button
        type="button"
        class="relative flex h-full w-full flex-col px-1.5 pb-2 text-left outline-offset-[-3px]"
        :class="plank === at ? 'bg-chalk text-[#182022]' : ''"
        :style="{ paddingTop: `calc(var(--step) * ${planks.length - 1 - place} + 8px)` }"
        :aria-current="plank === at ? 'step' : undefined"
        @click="$emit('choose', plank)"
      >
        <span v-if="plank === here" class="block text-[12.5px] font-bold">You are here</span>
        <svg viewBox="0 0 96 60" class="mx-auto h-[60px] w-24" aria-hidden="true">
          <g stroke="currentColor" stroke-width="2.4" fill="none">
            <template v-if="plank === 'kitchen'">
              <path d="M24 58v-14h48v14z" fill="#7d8784" />
              <path d="M32 44q16-14 32 0z" fill="#cfdad6" />
              <path d="M40 36v-24h18v24z" fill="#e6d6c0" />
            </template>
            <template v-else-if="plank === 'formula'">
              <path d="M26 58V26l5-8v-8h8v8l5 8v32z" fill="#8f9a3c" />
              <path d="M54 58V30h24v28zM52 24h28v6H52z" fill="#e3c779" />
            </template>
            <template v-else-if="plank === 'lye'">
              <path d="M30 58V22h36v36zM28 14h40v8H28z" fill="#d5432a" />
              <text
                x="48"
                y="46"
                text-anchor="middle"
                font-size="13"
                font-weight="700"
                fill="#fff"
                stroke="none"
              >
                lye
              </text>
            </template>
            <template v-else-if="plank === 'dry'">
              <path d="M30 12l5 46h28l4-46" />
              <path d="M32 34h32l-2 24H35z" fill="#3f6fb0" />
              <path d="M66 20q14 2 10 16-2 8-12 8" />
            </template>
            <template v-else-if="plank === 'rehearsal'">
              <path d="M22 58V20h52v38z" />
              <path d="M30 30h20M30 39h34M30 50h9M44 50h9M58 50h9" stroke-width="4" />
            </template>
            <template v-else-if="plank === 'batch'">
              <path d="M28 20l5 38h30l5-38M52 46l14-36" />
            </template>
            <template v-else-if="plank === 'cut'">
              <path d="M18 58V30h60v28z" />
              <path d="M38 30v28M58 30v28" stroke-dasharray="4 4" />
            </template>
            <template v-else-if="plank === 'weigh'">
              <path
                d="M20 58V32q0-6 6-6t6 6v26zM42 58V32q0-6 6-6t6 6v26zM64 58V32q0-6 6-6t6 6v26z"
              />
            </template>
            <template v-else>
              <path d="M22 58l4-14h44l4 14z" />
              <circle cx="38" cy="32" r="9" />
              <circle cx="54" cy="26" r="12" />
              <circle cx="68" cy="36" r="6" />
            </template>
          </g>
        </svg>
        <span
          class="block h-2.5 w-full border border-plank"
          :class="done[plank] ? 'bg-plank' : plank === at ? 'bg-[#182022]' : ''"
        />
        <span class="mt-1 flex items-start justify-between gap-1">
          <span>
            <b class="block text-[13.5px] leading-tight">{{ words[plank][0] }}</b>
            <span
              class="block text-[12.5px] leading-tight"
              :class="plank === at ? '' : 'text-ink-2'"
              >{{ saysOf(plank) }}</span
            >
          </span>
          <Check v-if="done[plank]" :size="18" class="shrink-0 text-ok" aria-hidden="true" />
        </span>
      </button>
    </li>
  </ol>
</template>
