<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
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
/** Bars lose up to an eighth of their height over the cure, drawn so that it can be seen. */
const height = (item: OnPlank) => {
  const part = Math.min(1, item.standing.day / Math.max(1, item.batch.cure.days))
  return Math.round(52 * (1 - 0.125 * (1 - Math.exp(-3 * part))))
}
const label = (item: OnPlank) => `${item.batch.name} ${item.batch.number}, ${props.says(item)}`
</script>

<template>
  <section :aria-label="title" class="pb-1">
    <h2>{{ title }}</h2>
    <ul class="planks flex flex-wrap gap-x-3 px-2">
      <li v-for="item in items" :key="item.batch.id" class="row w-[205px]">
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
            :class="flag(item) === 'ready' ? 'bg-ok' : 'bg-warn'"
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
              <BarFace
                v-for="bar in drawn(item)"
                :key="bar"
                :face="item.batch.face"
                :width="17"
                :height="height(item)"
              />
            </template>
            <BarFace
              v-else
              :face="item.batch.face"
              :width="Math.min(180, 60 + item.standing.bars * 6)"
              :height="42"
            />
          </span>
          <span class="mt-[11px] block h-[26px] pt-0.5 text-[12.5px] whitespace-nowrap">
            <b>{{ item.batch.name }}</b><span class="figure ml-1 text-ink-2"
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
