<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { leftAfter } from '#core/rack/drying/model'
import type { Standing } from '#core/rack/standing'

export interface OnPlank {
  batch: BatchSummary
  standing: Standing
}

/** One plank with the bars that stand on it. Bars shrink as they dry; what is not cut yet lies as a loaf. */
const props = defineProps<{
  title: string
  items: OnPlank[]
  chosen: string | null
  says: (item: OnPlank) => string
  flag: (item: OnPlank) => string
}>()
const emit = defineEmits<{ choose: [id: string] }>()

/** As many bars as tell the amount; more would only be stripes. */
const most = 8
const cut = (item: OnPlank) => item.standing.cutOn !== null
const drawn = (item: OnPlank) => Math.min(most, item.standing.bars)
/** Bars are drawn as high as they have mass left, so that drying can be seen. */
const height = (item: OnPlank) => {
  const { drying } = item.batch.facts
  return Math.round(54 * (drying ? leftAfter(drying.shape, item.standing.day) : 1))
}
const flagColour = (flag: string) => {
  if (flag === 'ready') return 'bg-ok'
  if (flag === 'held' || flag === 'locked') return 'bg-stop'
  return flag === 'unmould, cut' || flag === 'test' ? 'bg-warn' : 'bg-slate'
}
const label = (item: OnPlank) => `${item.batch.name} ${item.batch.number}, ${props.says(item)}`
</script>

<template>
  <section :aria-label="title" class="pb-1">
    <h2>{{ title }}</h2>
    <ul class="planks flex flex-wrap gap-x-3 px-2">
      <li v-for="item in items" :key="item.batch.id" class="row w-[205px] max-sm:w-[165px]">
        <button
          type="button"
          class="group flex h-full flex-col items-start justify-end rounded-sm text-left"
          :aria-pressed="chosen === item.batch.id"
          :aria-label="label(item)"
          @click="emit('choose', item.batch.id)"
        >
          <b
            v-if="flag(item)"
            class="px-2 text-xs font-[650] text-white"
            :class="flagColour(flag(item))"
            >{{ flag(item) }}</b
          >
          <span
            class="flex items-end gap-[3px] border-2 border-b-0 px-1 pt-1"
            :class="
              chosen === item.batch.id
                ? 'border-act'
                : 'border-transparent group-hover:border-line-3'
            "
          >
            <template v-if="cut(item)">
              <BarThumbnail
                v-for="bar in drawn(item)"
                :key="bar"
                :thumbnail="item.batch.thumbnail"
                :width="17"
                :height="height(item)"
              />
            </template>
            <BarThumbnail
              v-else
              :thumbnail="item.batch.thumbnail"
              :width="Math.min(150, 60 + item.standing.bars * 6)"
              :height="42"
            />
          </span>
          <span
            class="mt-[11px] flex h-[26px] w-[205px] gap-1 max-sm:w-[165px] max-sm:flex-col max-sm:gap-0 max-sm:pt-0 max-sm:text-[12px] max-sm:leading-[13px] pt-0.5 text-[12.5px] whitespace-nowrap"
          >
            <b class="min-w-8 shrink-[4] truncate">{{ item.batch.name }}</b>
            <span class="figure min-w-0 truncate text-ink-2 sm:shrink-0"
              >{{ item.batch.number }} · {{ says(item) }}</span
            >
          </span>
        </button>
      </li>
      <li v-if="!items.length" class="row flex items-end pb-10 text-sm text-ink-3"><slot /></li>
    </ul>
  </section>
</template>

<style scoped>
/* Every row of bars stands on a plank of its own: the picture repeats with the height of a row. */
.row {
  height: 108px;
  /* A rack of hundreds draws only the bars that are looked at. */
  content-visibility: auto;
  contain-intrinsic-size: 205px 108px;
}
.planks {
  background: repeating-linear-gradient(
    transparent 0 71px,
    var(--color-plank) 71px 80px,
    #5c6663 80px 82px,
    transparent 82px 108px
  );
}
</style>
