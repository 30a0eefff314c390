<script setup lang="ts">
import type { ByItself, DayBench } from '~/composables/useDayBench'

/** Beside the step: the next pour, what runs by itself, and what the others have in hand. Every vessel with its batch's number. */
const { bench } = defineProps<{ bench: DayBench }>()
const { say } = storeToRefs(useWorkshop())
const who = computed(() => bench.here.day.value!.people)
const left = (one: ByItself) => (one.due === null ? null : one.due - bench.minutes.value)
const pour = computed(() => bench.nextPour.value)
const thumb = (id: string) => bench.here.batches.value.get(id)!.thumbnail
</script>

<template>
  <aside
    class="flex min-h-0 flex-col overflow-y-auto bg-[#1c2426]"
    aria-label="The rest of the day"
  >
    <div id="bench-pad" class="px-4" />
    <section
      v-if="pour"
      class="border-l-8 bg-[#2d2613] px-4 py-3"
      :class="pour.pace.races ? 'border-[#f3c24b]' : 'border-[#7fb69b]'"
      aria-label="The next pour"
    >
      <div class="flex items-center justify-between gap-3">
        <BarThumbnail :thumbnail="thumb(pour.batch.id)" :width="58" :height="40" />
        <div class="min-w-0 flex-1">
          <p class="text-[19px] leading-tight font-bold">
            {{ pour.batch.number }} {{ pour.pace.races ? 'races' : pour.batch.name }}
          </p>
          <p class="figure text-[14px] text-ink-2">
            {{ who[bench.personOf(pour.task)]?.name }}, {{ bench.here.timeAt(pour.at) }}
          </p>
        </div>
        <p class="figure text-[32px] font-bold text-[#f3c24b]">
          {{ clockText(Math.max(0, pour.at - bench.minutes.value)) }}
        </p>
      </div>
      <p class="mt-1 text-[15px]">Thick after {{ minutesText(pour.pace.working) }}.</p>
    </section>
    <section class="flex-1 px-4 py-3" aria-labelledby="by-themselves">
      <h2 id="by-themselves" class="text-[16px] !text-ink-2">By themselves</h2>
      <p v-if="!bench.byThemselves.value.length" class="mt-2 text-ink-3">Nothing yet.</p>
      <ul class="mt-2 grid grid-cols-1 gap-4 sm:max-lg:grid-cols-2">
        <li
          v-for="one in bench.byThemselves.value"
          :key="one.id"
          class="flex items-end gap-3 border-b-4 border-[#7d8784] pb-1"
        >
          <svg viewBox="0 0 64 62" width="64" height="62" class="shrink-0" aria-hidden="true">
            <g
              v-if="one.inHands"
              fill="none"
              stroke="#ff8a70"
              stroke-width="2.5"
              stroke-dasharray="5 4"
            >
              <rect x="6" y="8" width="46" height="52" />
            </g>
            <g v-else-if="one.kind === 'lye'">
              <path
                d="M6 6 H50 L58 12 L52 14 V60 H6 Z"
                fill="#10181a"
                stroke="#e8eeec"
                stroke-width="2.5"
              />
              <rect x="8" y="28" width="42" height="30" fill="#d5432a" />
            </g>
            <g v-else-if="one.kind === 'fats' || one.kind === 'melting'">
              <path
                d="M4 20 V60 H50 V20 M50 30 H63"
                fill="none"
                stroke="#e8eeec"
                stroke-width="2.5"
              />
              <rect x="6" y="34" width="42" height="24" fill="#c99a2e" />
              <rect
                v-if="one.kind === 'melting'"
                x="14"
                y="28"
                width="12"
                height="10"
                fill="#f2ead6"
              />
            </g>
            <rect
              v-else
              x="2"
              y="22"
              width="58"
              height="38"
              fill="#e9dcc0"
              stroke="#8a9794"
              stroke-width="2"
            />
            <rect x="10" y="38" :width="12 + one.batches.length * 14" height="16" fill="#10181a" />
            <text x="13" y="51" font-size="13" font-weight="700" fill="#fff">
              {{ one.batches.map(({ number }) => number).join(' ') }}
            </text>
          </svg>
          <div class="min-w-0 flex-1">
            <p class="flex flex-wrap items-center gap-2 text-[16px] font-semibold">
              <span
                v-for="batch in one.batches"
                :key="batch.id"
                class="figure bg-chalk px-2 font-bold text-[#182022]"
                >{{ batch.number }}</span
              >
              {{ one.says }}
            </p>
            <p v-if="one.inHands" class="text-[15px] font-semibold text-[#ff9a84]">
              with {{ one.inHands }}
            </p>
            <button
              v-else-if="one.kind === 'melting' && left(one)! <= 0"
              type="button"
              class="mt-1 min-h-11 bg-chalk px-3 text-[16px] font-bold text-[#182022]"
              @click="bench.offThePlate(one)"
            >
              Clear: off the plate
            </button>
            <p
              v-else-if="left(one) !== null"
              class="figure text-[28px] leading-tight font-bold"
              :class="left(one)! <= 0 ? 'text-[#f3c24b]' : ''"
            >
              {{ left(one)! > 0 ? clockText(left(one)!) : 'ready' }}
            </p>
          </div>
        </li>
      </ul>
    </section>
    <section
      v-for="other in bench.others.value"
      :key="other.name"
      class="border-t border-line px-4 py-3"
      :aria-label="other.name"
    >
      <p class="figure flex justify-between gap-3 text-[17px] font-bold">
        {{ other.name }}
        <span v-if="other.now">free {{ bench.here.timeAt(other.now.to) }}</span>
      </p>
      <p class="text-[15px] text-ink-2">
        <template v-if="other.now">{{
          workTitle(other.now.task, bench.ownOf(other.now.task), say)
        }}</template>
        <template v-else-if="other.next"
          >{{ bench.here.timeAt(other.next.at) }}:
          {{ workTitle(other.next.task, bench.ownOf(other.next.task), say) }}</template
        >
        <template v-else>has nothing left</template>
      </p>
    </section>
    <details class="border-t border-line px-4 py-3">
      <summary class="min-h-11 cursor-pointer text-[15px] font-semibold">
        Heat, weights and devices of the batch in hand
      </summary>
      <div id="day-devices" class="mt-2" />
    </details>
  </aside>
</template>
