<script setup lang="ts">
import type { StreamedReading } from '#contracts/device'
import type { ReadingSource, Role } from '~/utils/readingDevices'

/** Where the readings of the scale and of each thermometer come from. */
const { devices } = useBench()
const names: Record<Role, string> = {
  scale: 'Scale',
  lye: 'Thermometer, lye',
  oils: 'Thermometer, oils',
}
const heard = ref<StreamedReading[]>([])
const problem = ref('')
async function look() {
  try {
    heard.value = await api.get<StreamedReading[]>('/api/devices')
  } catch {
    heard.value = []
  }
}
onMounted(look)
const canSerial = computed(() => 'serial' in navigator && isSecureContext)
const valueOf = (source: ReadingSource) =>
  source.kind === 'posts' ? `posts:${source.device}` : source.kind
async function choose(role: Role, event: Event) {
  const { value } = event.target as HTMLSelectElement
  problem.value = ''
  const source: ReadingSource = value.startsWith('posts:')
    ? { kind: 'posts', device: value.slice(6) }
    : { kind: value as 'stand-in' | 'serial' | 'none' }
  try {
    await devices.choose(role, source)
  } catch {
    problem.value =
      'The scale at this computer could not be opened. Is it plugged in, and not open elsewhere?'
  }
}
const kindOf = (role: Role) => (role === 'scale' ? 'grams' : 'celsius')
</script>

<template>
  <details class="border-t border-line pt-2 text-[15px]" @toggle="look">
    <summary class="min-h-11 py-2 font-semibold">Scale and thermometers</summary>
    <label
      v-for="(name, role) in names"
      :key="role"
      class="mt-1 grid grid-cols-[1fr_1.2fr] items-center gap-2"
    >
      {{ name }}
      <select
        class="min-h-12 border border-line-3 bg-[#2d393b] px-2"
        :value="valueOf(devices.sources.value[role])"
        @change="choose(role, $event)"
      >
        <option value="none">none: I type</option>
        <option value="stand-in">stand-in, for trying out</option>
        <option
          v-for="one in heard.filter(({ kind }) => kind === kindOf(role))"
          :key="one.device"
          :value="`posts:${one.device}`"
        >
          {{ one.device }}
        </option>
        <option v-if="role === 'scale' && canSerial" value="serial">
          at this computer, by cable
        </option>
      </select>
    </label>
    <p v-if="problem" role="alert" class="mt-2 text-[#f3c24b]">{{ problem }}</p>
    <p v-if="!canSerial" class="mt-2 text-[14px] text-ink-2">
      A scale by cable needs a secure page: open Mantle on the computer it runs on (127.0.0.1), in a
      browser with serial ports.
    </p>
  </details>
</template>
