<script setup lang="ts">
/** A setting: its name, what it is set to, and what it could not become. Hidden while something else is looked for. */
const { says, note = '', also = '' } = defineProps<{ says: string; note?: string; also?: string }>()
const { faults, isFound } = useSettings()
const shown = computed(() => isFound(`${says} ${note} ${also}`))
</script>

<template>
  <div v-show="shown" class="border-b border-line-2 px-4 py-1.5 last:border-0">
    <div class="flex min-h-9 flex-wrap items-center justify-between gap-x-3 gap-y-1">
      <span class="min-w-0">
        {{ says }}
        <small v-if="note" class="block text-xs text-ink-2">{{ note }}</small>
      </span>
      <span class="ml-auto flex min-w-0 flex-wrap justify-end gap-2"><slot /></span>
    </div>
    <p v-if="faults[says]" role="alert" class="mt-1 text-sm text-stop">{{ faults[says] }}</p>
  </div>
</template>
