<script setup lang="ts">
import { themes } from '~/composables/useTheme'

/** The workshop as a whole: what it is set to, which devices may do what, and its backups. */
useHead({ title: 'The workshop · Mantle' })
const workshop = useWorkshop()
const { settings, say } = storeToRefs(workshop)
const { chosen: theme } = useTheme()
const lines = computed(() => [
  { says: 'Weights and warmth', is: `${say.value.massUnit}, °${say.value.degrees}` },
  { says: 'The scale shows steps of', is: scaleText(settings.value.scale) },
  { says: 'Clock', is: settings.value.timeZone.replace(/_/g, ' ') },
  { says: 'Money', is: settings.value.currency },
  {
    says: 'Turn',
    is: settings.value.rack.turnEvery ? `every ${settings.value.rack.turnEvery} days` : 'never',
  },
])
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-3 pb-8 sm:px-6">
    <div class="flex flex-wrap items-baseline gap-x-4 py-4">
      <h1>The workshop</h1>
      <span class="text-ink-2">{{ settings.name }}</span>
    </div>
    <div class="grid items-start gap-4 lg:grid-cols-[1fr_2fr]">
      <section class="sheet" aria-label="Settings">
        <div class="flex items-center justify-between border-b border-line-2 px-4 py-2.5">
          <h2>Settings</h2>
          <button type="button" class="link min-h-8" @click="workshop.dialogOpen = true">
            Change
          </button>
        </div>
        <fieldset class="flex flex-wrap gap-x-4 gap-y-1 border-b border-line-2 px-4 py-2.5">
          <legend class="sr-only">Light or dark, on this device</legend>
          <span class="mr-auto text-ink-2">Light or dark, here</span>
          <label v-for="one in themes" :key="one" class="flex items-center gap-1.5 font-[650]">
            <input v-model="theme" type="radio" name="theme" :value="one" />
            {{ one === 'system' ? 'as this device' : one }}
          </label>
        </fieldset>
        <dl>
          <div
            v-for="line in lines"
            :key="line.says"
            class="flex justify-between gap-3 border-b border-line-2 px-4 py-2.5 last:border-0"
          >
            <dt class="text-ink-2">{{ line.says }}</dt>
            <dd class="font-[650]">{{ line.is }}</dd>
          </div>
        </dl>
      </section>
      <DevicesCard />
    </div>
    <BackupCard class="mt-4" />
  </div>
</template>
