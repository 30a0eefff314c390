<script setup lang="ts">
import type { WorkshopMould } from '#contracts/mould'
import { capacityOf } from '#core/mould/capacity'
import { stuffOf } from '#core/mould/stuff'
import { inSentence } from '#core/units/language'

/** A mould drawn to scale with the batter as it is in it, and how full that makes it. */
const { record, millilitres, chosen, others } = defineProps<{
  record: WorkshopMould
  /** Of the batter as it is now. */
  millilitres: number
  chosen: boolean
  /** Whether other moulds are chosen, so that this one may join them. */
  others: boolean
}>()
const emit = defineEmits<{ choose: []; also: [] }>()
const { say } = storeToRefs(useWorkshop())
const never = computed(() => stuffOf[record.material].never)
const capacity = computed(() => capacityOf(record))
/** How many of them the batter needs, up to as many as there are. */
const needed = computed(() =>
  Math.min(record.owned, Math.max(1, Math.ceil(millilitres / capacity.value - 0.02))),
)
const fill = computed(() => millilitres / capacity.value)
const words = computed(() => {
  if (record.mould.shape === 'cavities') {
    const all = record.mould.count * needed.value
    return {
      full: `${say.value.number((millilitres / capacity.value) * record.mould.count, 1)} of ${all}`,
      also: `of ${say.value.volume(capacity.value / record.mould.count)}`,
    }
  }
  if (fill.value > 1 && fill.value <= record.owned)
    return {
      full: `${needed.value} of ${record.owned}`,
      also: `${say.value.percent(fill.value / needed.value, 0)} full`,
    }
  return {
    full: say.value.percent(fill.value, 0),
    also:
      fill.value > 1 ? `full: ${say.value.volume(millilitres - capacity.value)} too much` : 'full',
  }
})
</script>

<template>
  <div class="relative grid">
    <button
      type="button"
      class="grid content-between gap-2 rounded-sm bg-field px-3 py-2.5 text-left disabled:bg-ground"
      :class="chosen ? 'outline-[3px] outline-ink' : 'outline-1 outline-line-3 hover:outline-ink'"
      :aria-pressed="chosen"
      :disabled="!!never"
      @click="emit('choose')"
    >
      <span class="flex justify-between gap-2">
        <b class="truncate font-semibold">{{ record.name }}</b>
        <small v-if="record.owned > 1" class="shrink-0 text-ink-2">{{ record.owned }} here</small>
      </span>
      <span class="relative flex min-h-14 items-end overflow-hidden">
        <MouldPicture :record="record" :px-per-mm="0.36" :fill="fill" />
        <i
          v-if="never"
          class="absolute inset-y-1/2 left-0 w-28 -rotate-[28deg] border-t-4 border-stop"
        />
      </span>
      <span v-if="never" class="font-semibold text-stop"
        >{{ inSentence(stuffOf[record.material].says) }}: lye eats it</span
      >
      <span v-else class="figure" :class="fill > record.owned ? 'text-warn' : ''"
        ><b class="text-[15px]">{{ words.full }}</b
        >{{ ' ' }}<small class="text-ink-2">{{ words.also }}</small></span
      >
    </button>
    <button
      v-if="others && !never"
      type="button"
      class="link absolute right-2 bottom-2 bg-field text-sm"
      :aria-label="chosen ? `Without ${record.name}` : `${record.name} too`"
      @click="emit('also')"
    >
      {{ chosen ? 'without' : 'too' }}
    </button>
  </div>
</template>
