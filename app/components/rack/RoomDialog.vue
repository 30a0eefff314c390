<script setup lang="ts">
import type { StreamedReading } from '#contracts/device'

/** What the drying room is like: written down by hand, or read by a device from now on. */
const open = defineModel<boolean>({ required: true })
const workshop = useWorkshop()
const { say, settings } = storeToRefs(workshop)
const room = useRoom()
const toasts = useToasts()
const heard = ref<string[]>([])
onMounted(async () => {
  const devices = await api.get<StreamedReading[]>('/api/devices').catch(() => [])
  heard.value = devices.flatMap(({ kind, device }) => (kind === 'humidity' ? [device] : []))
})
const sensor = computed(() => settings.value.rack.sensor)
const sensors = computed(() => [
  ...new Set([
    ...heard.value,
    ...(sensor.value && sensor.value !== 'stand-in' ? [sensor.value] : []),
  ]),
])
const fault = ref('')
async function attempt(act: () => Promise<unknown>) {
  try {
    await act()
    fault.value = ''
    return true
  } catch (error) {
    fault.value = sentenceOf(error)
    return false
  }
}
const listenTo = (name: string) =>
  attempt(async () => {
    await workshop.save({ rack: { sensor: name || null } })
    await room.load()
  })
const celsius = ref<number | null>(null)
const humidity = ref<number | null>(null)
const lacks = computed(() => celsius.value === null || humidity.value === null)
async function done() {
  if (lacks.value) return
  const reading = { celsius: say.value.celsiusOf(celsius.value!), humidity: humidity.value! }
  if (!(await attempt(() => room.keep(reading)))) return
  await workshop.load()
  toasts.show('The room is written down.')
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="Note the room">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <div class="flex flex-wrap gap-x-5 gap-y-2">
        <LabelledNumber
          v-model="celsius"
          says="Warmth"
          label="Warmth of the room"
          :unit="`°${say.degrees}`"
          :decimals="1"
        />
        <LabelledNumber
          v-model="humidity"
          says="Humidity"
          label="Humidity of the room"
          kind="percent"
          :min="0.05"
          :max="1"
          :decimals="0"
        />
      </div>
      <FieldRow says="Who reads it from now on">
        <select
          class="field font-normal"
          :value="sensor ?? ''"
          @change="listenTo(($event.target as HTMLSelectElement).value)"
        >
          <option value="">nobody: typed by hand</option>
          <option value="stand-in">the stand-in sensor, for practice</option>
          <option v-for="name in sensors" :key="name" :value="name">{{ name }}</option>
        </select>
      </FieldRow>
      <p v-if="fault" role="alert" class="text-stop">{{ fault }}</p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" :disabled="lacks" @click="done">Write it down</AppButton>
    </template>
  </AppDialog>
</template>
