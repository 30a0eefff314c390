<script setup lang="ts">
import type { Kitchen } from '#contracts/firstSoap'

/** What a kitchen has: asked once, changed whenever. */
const { kitchen, who: named } = defineProps<{ kitchen: Kitchen | null; who: string }>()
const emit = defineEmits<{ keep: [who: string, kitchen: Kitchen] }>()
const who = ref(named)
const now = reactive<Kitchen>(
  kitchen ?? {
    scale: 1,
    blender: false,
    thermometer: false,
    tubMillilitres: 800,
    goggles: true,
    gloves: true,
    steelPan: true,
    aluminium: false,
  },
)
const tub = ref<number | null>(now.tubMillilitres)
const { say } = storeToRefs(useWorkshop())
const scales = [0.1, 1, 2, 5]
const fault = computed(() =>
  tub.value === null || tub.value < 300 || tub.value > 3000
    ? 'A tub of 300 ml to 3 litres: fill it with water and weigh that, 1 g is 1 ml.'
    : '',
)
const ticks = [
  ['blender', 'A stick blender', 'A whisk does it too, in an hour.'],
  ['thermometer', 'A thermometer', 'Warm to the hand is enough.'],
  ['goggles', 'Goggles that close', 'Spectacles are none.'],
  ['gloves', 'Gloves to the wrist', 'Rubber or nitrile.'],
  ['steelPan', 'A pot of stainless steel or PP (5)', 'For the oils and the batter.'],
  ['aluminium', 'Something of aluminium', 'It stays in the cupboard.'],
] as const
function keep() {
  if (!fault.value) emit('keep', who.value.trim(), { ...now, tubMillilitres: tub.value! })
}
</script>

<template>
  <form class="grid gap-3" @submit.prevent="keep">
    <label class="grid max-w-xs gap-1"
      >Who makes it
      <input v-model="who" class="field" maxlength="60" placeholder="Nell" autocomplete="off" />
    </label>
    <label class="grid max-w-xs gap-1"
      >What the scale shows
      <select v-model="now.scale" class="field">
        <option v-for="step in scales" :key="step" :value="step">
          steps of {{ say.number(step, 0, 1) }} g
        </option>
      </select>
    </label>
    <div class="grid max-w-xs gap-1">
      <span>What the tub holds, to the rim, ml</span>
      <NumberField
        v-model="tub"
        label="What the tub holds, ml"
        :decimals="0"
        :aria-invalid="!!fault"
      />
      <p v-if="fault" class="text-[13px] text-stop">{{ fault }}</p>
    </div>
    <fieldset class="grid gap-1.5">
      <legend class="mb-1">What there is</legend>
      <label v-for="[key, says, also] in ticks" :key="key" class="flex min-h-9 items-start gap-2.5">
        <input v-model="now[key]" type="checkbox" class="mt-1" />
        <span
          ><b class="font-[650]">{{ says }}</b>
          <small class="block text-[13px] text-ink-2">{{ also }}</small></span
        >
      </label>
    </fieldset>
    <p><AppButton kind="main" :disabled="!!fault" @click="keep">That is my kitchen</AppButton></p>
  </form>
</template>
