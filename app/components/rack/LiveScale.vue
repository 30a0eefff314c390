<script setup lang="ts">
import type { StreamedReading } from '#contracts/device'
import { usualSetup } from '#contracts/benchWords'
import { isSteady } from '#core/bench/run/weighing'

/** The scale of a round: which one, what it says now, and whether that holds still. */
const live = defineModel<{ grams: number | null; steady: boolean }>({ required: true })
const { settings, say } = storeToRefs(useWorkshop())
const devices = useDevices(
  newId(),
  () => ({
    at: new Date().toISOString(),
    speed: 1,
    roomC: usualSetup.roomC,
    resolution: settings.value.scale,
    most: usualSetup.scaleMax,
    seed: 1,
  }),
  false,
)
const heard = ref<string[]>([])
onMounted(async () => {
  const all = await api.get<StreamedReading[]>('/api/devices').catch(() => [])
  heard.value = all.flatMap(({ kind, device }) => (kind === 'grams' ? [device] : []))
})
/** A stand-in has nothing to put bars on here: it counts as none. */
const source = computed(() => {
  const { scale } = devices.sources.value
  return scale.kind === 'posts' ? scale.device : scale.kind === 'serial' ? 'serial' : ''
})
const names = computed(() => [
  ...new Set([
    ...heard.value,
    ...(source.value && source.value !== 'serial' ? [source.value] : []),
  ]),
])
const choose = (device: string) =>
  devices.choose('scale', device ? { kind: 'posts', device } : { kind: 'none' })
/** g under which the pan counts as empty. */
const empty = 1
watchEffect(() => {
  const grams = source.value ? devices.now.value.scale : null
  live.value = {
    grams: grams !== null && grams >= empty ? grams : null,
    steady: isSteady(devices.scaleReadings.value, settings.value.scale),
  }
})
</script>

<template>
  <div v-if="names.length || source" class="flex flex-wrap items-center gap-4">
    <label class="flex items-center gap-2 font-semibold">
      Scale
      <select
        data-live
        class="field font-normal"
        :value="source"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="">none: I type</option>
        <option v-if="source === 'serial'" value="serial">at this computer</option>
        <option v-for="name in names" :key="name" :value="name">{{ name }}</option>
      </select>
    </label>
    <p v-if="source" class="figure text-[22px] font-[650]" role="status">
      {{
        devices.silent.value.scale ? 'silent' : live.grams === null ? 'empty' : say.mass(live.grams)
      }}
      <small v-if="live.grams !== null" class="text-sm font-normal text-ink-2">{{
        live.steady ? 'steady' : 'moving'
      }}</small>
    </p>
  </div>
</template>
