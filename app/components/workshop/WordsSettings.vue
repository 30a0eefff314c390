<script setup lang="ts">
import { scaleSteps } from '#contracts/words'
import { themes } from '~/composables/useTheme'

/** How weights, degrees and days are said, and what the shed is. */
const { settings, say, today } = storeToRefs(useWorkshop())
const { set, setSoon } = useSettings()
const { chosen: theme } = useTheme()
const zones = Intl.supportedValuesOf('timeZone')
const currencies = Intl.supportedValuesOf('currency')
const themeWords = { system: 'as the device', light: 'light', dark: 'dark' } as const
const firstDays = [1, 0, 6] as const
const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
const numbers = [
  { says: 'Ambulance', key: 'ambulance' },
  { says: 'Poison centre', key: 'poison' },
] as const
</script>

<template>
  <section class="sheet self-start" aria-label="Weights, words and the shed">
    <h2 class="border-b border-line-2 px-4 py-2.5">Weights and words</h2>
    <SettingRow says="Weights" also="units grams ounces metric imperial pounds">
      <OneOf
        label="Weights"
        :model-value="settings.units"
        :options="[
          { is: 'metric', says: 'grams' },
          { is: 'imperial', says: 'ounces' },
        ]"
        @update:model-value="set('Weights', { units: $event }, 'weights')"
      />
    </SettingRow>
    <SettingRow says="Warmth" also="degrees celsius fahrenheit temperature units">
      <OneOf
        label="Warmth"
        :model-value="say.degrees"
        :options="[
          { is: 'C', says: '°C' },
          { is: 'F', says: '°F' },
        ]"
        @update:model-value="set('Warmth', { degrees: $event }, 'degrees')"
      />
    </SettingRow>
    <SettingRow says="The scale shows steps of" also="resolution decimals">
      <select
        class="field"
        aria-label="The scale shows steps of"
        :value="settings.scale"
        @change="set('The scale shows steps of', { scale: Number(valueOf($event)) }, 'scale')"
      >
        <option v-for="step in scaleSteps" :key="step.grams" :value="step.grams">
          {{ step.says }}
        </option>
      </select>
    </SettingRow>
    <SettingRow says="A teaspoon holds" also="spoons tablespoon ml">
      <OneOf
        label="A teaspoon holds"
        :model-value="settings.spoons"
        :options="[
          { is: 'metric', says: '5 ml' },
          { is: 'us', says: '4.93 ml, US' },
        ]"
        @update:model-value="set('A teaspoon holds', { spoons: $event })"
      />
    </SettingRow>
    <SettingRow says="Dates" also="language days calendar">
      <select
        class="field w-56"
        aria-label="Dates"
        :value="settings.dates.locale ?? ''"
        @change="set('Dates', { dates: { locale: valueOf($event) || null } })"
      >
        <option value="">{{ customText(null, today) }}</option>
        <option v-for="tag in dateCustoms" :key="tag" :value="tag">
          {{ customText(tag, today) }}
        </option>
      </select>
    </SettingRow>
    <SettingRow says="A week begins on" also="first day calendar">
      <select
        class="field"
        aria-label="A week begins on"
        :value="settings.dates.firstDay"
        @change="
          set('A week begins on', { dates: { firstDay: Number(valueOf($event)) as 0 | 1 | 6 } })
        "
      >
        <option v-for="day in firstDays" :key="day" :value="day">{{ dayOfWeekText(day) }}</option>
      </select>
    </SettingRow>
    <SettingRow says="Light, here" also="dark theme colours night">
      <OneOf
        v-model="theme"
        label="Light or dark, on this device"
        :options="themes.map((one) => ({ is: one, says: themeWords[one] }))"
      />
    </SettingRow>
    <h2 class="border-y border-line-2 px-4 py-2.5">The shed</h2>
    <SettingRow says="Name" also="workshop">
      <input
        class="field w-56"
        aria-label="Name"
        maxlength="80"
        :value="settings.name"
        @input="setSoon('Name', { name: ($event.target as HTMLInputElement).value })"
      />
    </SettingRow>
    <SettingRow says="Clock" also="time zone">
      <select
        class="field w-56"
        aria-label="Clock"
        :value="settings.timeZone"
        @change="set('Clock', { timeZone: valueOf($event) })"
      >
        <option v-if="!zones.includes(settings.timeZone)" :value="settings.timeZone">
          {{ settings.timeZone }}
        </option>
        <option v-for="zone in zones" :key="zone" :value="zone">
          {{ zone.replaceAll('_', ' ') }}
        </option>
      </select>
    </SettingRow>
    <SettingRow says="Money" also="currency prices">
      <select
        class="field"
        aria-label="Money"
        :value="settings.currency"
        @change="set('Money', { currency: valueOf($event) })"
      >
        <option v-for="code in currencies" :key="code" :value="code">{{ code }}</option>
      </select>
    </SettingRow>
    <SettingRow
      v-for="number in numbers"
      :key="number.key"
      :says="number.says"
      :note="number.key === 'ambulance' ? 'on the bench and every plan' : ''"
      also="emergency telephone"
    >
      <input
        class="field figure w-40 text-right"
        type="tel"
        maxlength="40"
        :aria-label="number.says"
        :value="settings.emergency[number.key]"
        @input="
          setSoon(number.says, {
            emergency: { [number.key]: ($event.target as HTMLInputElement).value },
          })
        "
      />
    </SettingRow>
  </section>
</template>
