<script setup lang="ts">
import { cureRulesOf } from '#core/rack/cure'

/** What a new formula begins with, and how bars cure here. */
const { settings } = storeToRefs(useWorkshop())
const { setSoon } = useSettings()
const superfat = useNumberSetting(
  'Superfat',
  ({ begin }) => begin.superfat,
  (value) => ({ begin: { superfat: value } }),
)
const water = useNumberSetting(
  'Water to lye',
  ({ begin }) => begin.water,
  (value) => ({ begin: { water: value } }),
)
const purity = useNumberSetting(
  'Lye in the jar, pure',
  ({ begin }) => begin.naohPurity,
  (value) => ({ begin: { naohPurity: value } }),
)
const turnEvery = useNumberSetting(
  'Turn the bars every',
  ({ rack }) => rack.turnEvery,
  (value) => ({ rack: { turnEvery: value } }),
)
const humidity = useNumberSetting(
  'Humidity while nobody logs it',
  ({ rack }) => rack.humidity,
  (value) => ({ rack: { humidity: value } }),
)
const fatty = ref(settings.value.leastFattyMatter)
watch(
  () => settings.value.leastFattyMatter,
  (value) => (fatty.value = value),
)
const setFatty = (value: number | null) => {
  fatty.value = value
  setSoon('Fatty matter at pour, at least', { leastFattyMatter: value })
}

const cures = ref(cureRulesOf(settings.value.rack.cures))
watch(
  () => settings.value.rack.cures,
  (now) => (cures.value = cureRulesOf(now)),
)
const named = (place: number) => cures.value[place]?.label || 'Our own'
function setCure(place: number, changes: { label?: string; days?: number }) {
  cures.value = cures.value.map((rule, at) => (at === place ? { ...rule, ...changes } : rule))
  setSoon(named(place), {
    rack: { cures: cures.value.map(({ id, label, days }) => ({ id, label, days })) },
  })
}
const own = (id: string) => id.startsWith('own-')
</script>

<template>
  <section class="sheet self-start" aria-label="Formulas and cure">
    <h2 class="border-b border-line-2 px-4 py-2.5">A new formula begins with</h2>
    <SettingRow says="Superfat" also="defaults lye discount">
      <NumberField
        v-model="superfat"
        label="Superfat"
        kind="percent"
        class="w-24"
        :min="0"
        :max="0.3"
      />
    </SettingRow>
    <SettingRow says="Water to lye" also="defaults ratio">
      <NumberField
        v-model="water"
        label="Water to lye"
        kind="ratio"
        class="w-24"
        :min="1"
        :max="4"
      />
    </SettingRow>
    <SettingRow says="Lye in the jar, pure" note="NaOH, as its label says" also="defaults purity">
      <NumberField
        v-model="purity"
        label="Lye in the jar, pure"
        kind="percent"
        class="w-24"
        :min="0.8"
        :max="1"
      />
    </SettingRow>
    <SettingRow
      says="Fatty matter at pour, at least"
      note="where a standard asks for it; else empty"
      also="least limits"
    >
      <NumberField
        :model-value="fatty"
        label="Fatty matter at pour, at least"
        kind="percent"
        class="w-24"
        :min="0"
        :max="1"
        @update:model-value="setFatty"
      />
    </SettingRow>
    <h2 class="border-y border-line-2 px-4 py-2.5">Cure and rounds</h2>
    <SettingRow
      v-for="(rule, place) in cures"
      :key="rule.id"
      :says="named(place)"
      also="cure days weeks defaults"
    >
      <input
        v-if="own(rule.id)"
        class="field w-36"
        maxlength="60"
        :aria-label="`Kind ${place + 1}`"
        :value="rule.label"
        @input="setCure(place, { label: ($event.target as HTMLInputElement).value })"
      />
      <NumberField
        :model-value="rule.days"
        :label="`Days for ${rule.label}`"
        unit="days"
        class="w-28"
        :min="1"
        :max="1500"
        :decimals="0"
        @update:model-value="$event !== null && setCure(place, { days: $event })"
      />
    </SettingRow>
    <div class="border-b border-line-2 px-4 py-2 text-sm text-ink-2">
      Makers differ: 3 to 4 weeks for coconut, 4 to 6 for most, 6 to 12 months for olive. These hold
      for batches made from now on.
      <button
        v-if="cures.length < 12"
        type="button"
        class="link min-h-6"
        @click="cures.push({ id: `own-${newId()}`, label: 'Our own', days: 60 })"
      >
        Add a kind
      </button>
    </div>
    <SettingRow says="Turn the bars every" note="0: nobody turns them here" also="turning rounds">
      <NumberField
        v-model="turnEvery"
        label="Turn the bars every"
        unit="days"
        class="w-28"
        :min="0"
        :max="60"
        :decimals="0"
      />
    </SettingRow>
    <SettingRow says="Humidity while nobody logs it" also="drying room damp">
      <NumberField
        v-model="humidity"
        label="Humidity while nobody logs it"
        kind="percent"
        class="w-24"
        :min="0.1"
        :max="0.95"
        :decimals="0"
      />
    </SettingRow>
  </section>
</template>
