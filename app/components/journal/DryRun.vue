<script setup lang="ts">
import { dropPlaces, dryMoves, type DropPlace, type FirstPath } from '#contracts/firstSoap'
import { dropAdvice } from '#core/journal/firstSoap'
import { Check } from '@lucide/vue'

/** Every move of the real day with blue water for lye: where blue lands, lye would have. */
const { path, lye, water, blender } = defineProps<{
  path: FirstPath
  lye: string
  water: string
  blender: boolean
}>()
const emit = defineEmits<{ change: [changes: Partial<FirstPath>]; done: [] }>()
const { today, say } = storeToRefs(useWorkshop())
const moves = computed(() => [
  {
    says: 'Goggles and gloves on',
    grams: '',
    why: 'Before anything is opened, and until the last rinse.',
  },
  {
    says: 'Blue water into its cup',
    grams: lye,
    why: 'Lye is weighed in a cup of its own: what is poured into water cannot be taken back.',
  },
  {
    says: 'Plain water into the jug',
    grams: water,
    why: 'Cold, and weighed: the lye dissolves in it and makes it hot.',
  },
  {
    says: 'Blue into water, slowly, stir',
    grams: '',
    why: 'Lye into water, never water onto lye: it would boil at once and spit.',
  },
  {
    says: blender ? 'Jug into the pot, pulse' : 'Jug into the pot, whisk',
    grams: '',
    why: 'Lye solution into the oils, low, along the tool.',
  },
  { says: 'Pour into the tub', grams: '', why: 'Both hands, the tub on a tray.' },
  { says: 'Rinse, look for blue', grams: '', why: 'What is still blue would still burn.' },
])
const why = ref<number | null>(null)
const at = computed(() => Math.min(path.moves, dryMoves))
const next = () => emit('change', { moves: at.value + 1 })
const count = ref<number | null>(0)
const where = ref<DropPlace>('cup and jug')
function keepDrops() {
  emit('change', {
    drops: [...path.drops, { day: today.value, count: count.value ?? 0, where: where.value }],
  })
}
const last = computed(() => path.drops.at(-1))
</script>

<template>
  <h2 class="text-[22px] leading-tight font-bold text-ink">Dry run, with blue water for lye</h2>
  <p class="mt-1">Every move of the real day. Where blue lands, lye would have.</p>
  <ol class="mt-3">
    <li
      v-for="(move, place) in moves"
      :key="move.says"
      class="grid grid-cols-[32px_1fr_auto] items-center gap-2 px-2 py-2"
      :class="place === at ? 'bg-chalk font-bold text-[#182022]' : place < at ? 'text-ink-2' : ''"
    >
      <Check v-if="place < at" :size="20" class="text-ok" aria-label="done" />
      <span v-else class="figure">{{ place + 1 }}</span>
      <span
        >{{ move.says }}
        <span v-if="why === place" class="block text-[13.5px] font-normal">{{
          move.why
        }}</span></span
      >
      <span class="flex items-center gap-3"
        ><span class="figure">{{ move.grams }}</span>
        <button
          v-if="place === at || why === place"
          type="button"
          class="font-[650] underline underline-offset-3"
          @click="why = why === place ? null : place"
        >
          Why?
        </button></span
      >
    </li>
  </ol>
  <form
    v-if="at >= dryMoves"
    class="mt-3 grid gap-2 border-t border-line pt-3"
    @submit.prevent="keepDrops"
  >
    <p class="font-[650]">How many blue drops, and most of them where?</p>
    <div class="flex flex-wrap items-center gap-2">
      <NumberField
        v-model="count"
        label="Blue drops"
        class="w-24"
        :decimals="0"
        :min="0"
        :max="500"
      />
      <select v-model="where" class="field" aria-label="Where most of them landed">
        <option v-for="place in dropPlaces" :key="place" :value="place">
          {{ place === 'far off' ? place : `between ${place}` }}
        </option>
      </select>
      <AppButton @click="keepDrops">Write it down</AppButton>
    </div>
  </form>
  <p v-if="last" class="mt-2" role="status">
    <b>{{ dayText(last.day, { today }) }}: {{ say.count(last.count, 'drop', 'drops') }}.</b>
    {{ last.count ? dropAdvice(last.where) : 'None: that is how it goes.' }}
  </p>
  <p class="mt-4 flex flex-wrap items-center gap-5">
    <AppButton v-if="at < dryMoves" kind="main" @click="next">{{
      at ? `Done, go on to move ${Math.min(at + 2, dryMoves)}` : 'Done, go on to move 2'
    }}</AppButton>
    <AppButton v-else kind="main" :disabled="!last" @click="emit('done')"
      >On to the rehearsal</AppButton
    >
    <button v-if="at" type="button" class="link" @click="emit('change', { moves: 0 })">
      From the start
    </button>
    <span class="text-ink-2">10 minutes</span>
  </p>
</template>
