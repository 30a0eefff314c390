<script setup lang="ts">
import type { Selling } from '#contracts/label'
import { allergenLists, namedFrom } from '#core/label/allergens'
import { otherNames } from '#core/label/names'
import { placeFor, placeOf } from '#core/label/places'

/** What all labels of the workshop go by: where it sells, who answers, how lists are written. Each begins as the place has it. */
const workshop = useWorkshop()
const { settings, say } = storeToRefs(workshop)
const materials = useMaterials()
const toasts = useToasts()
const selling = computed(() => settings.value.selling)
const own = computed(() => placeFor(selling.value))
const usual = computed(() => placeOf(selling.value.place))
const problem = ref('')
async function save(changes: Partial<Selling>) {
  try {
    await workshop.save({ selling: changes })
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
type Rules = Selling['rules']
function rule<K extends keyof Rules>(key: K, value: Rules[K]) {
  const { [key]: _, ...others } = selling.value.rules
  const isUsual = value === usual.value[key as keyof typeof usual.value]
  void save({ rules: isUsual ? others : { ...others, [key]: value } })
}
const texts = [
  { key: 'maker', says: 'Maker, in large', most: 60, hint: settings.value.name },
  { key: 'person', says: 'Who answers for the bars, with an address', most: 200, hint: '' },
  { key: 'country', says: 'Country', most: 60, hint: '' },
  { key: 'care', says: 'Care', most: 200, hint: '' },
  { key: 'warnings', says: 'Warnings', most: 300, hint: '' },
  {
    key: 'web',
    says: 'Square code leads to',
    most: 200,
    hint: 'https://…/{code}, else code and day',
  },
] as const
const yesNo = [
  { is: true, says: 'Yes' },
  { is: false, says: 'No' },
] as const
const list = computed(() => allergenLists.find(({ id }) => id === own.value.allergens)!)
const allergens = computed(() => say.value.list(selling.value.allergens))
/** Names that are asked for: what the workshop has of its own, and what it renamed. */
const naming = ref('')
const latin = ref('')
const english = ref('')
const nameable = computed(() =>
  [
    ...materials.library.fats.values(),
    ...materials.library.liquids.values(),
    ...materials.library.additives.values(),
  ]
    .map(({ id, name }) => ({ id, name, known: Boolean(otherNames[id]) }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const nameOf = (id: string) => nameable.value.find((one) => one.id === id)?.name ?? id
function keepName() {
  const one = nameable.value.find(({ name, id }) => name === naming.value || id === naming.value)
  if (!one || !latin.value.trim()) {
    toasts.show('Say which ingredient, and what a label calls it.', { bad: true })
    return
  }
  const name = { latin: latin.value.trim(), english: english.value.trim() || latin.value.trim() }
  void save({ names: { ...selling.value.names, [one.id]: name } })
  naming.value = latin.value = english.value = ''
}
function dropName(id: string) {
  const { [id]: _, ...others } = selling.value.names
  void save({ names: others })
}
</script>

<template>
  <section id="rules" class="sheet grid gap-4 px-4 py-3" aria-labelledby="selling">
    <h2 id="selling">Where you sell, and what labels say there</h2>
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <PlaceChoice />
    <div class="grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
      <FieldRow v-for="one in texts" :key="one.key" :says="one.says">
        <input
          class="field font-normal"
          :maxlength="one.most"
          :value="selling[one.key]"
          :placeholder="one.hint"
          @change="save({ [one.key]: ($event.target as HTMLInputElement).value })"
        />
      </FieldRow>
      <FieldRow says="Net weight is rounded down to">
        <select
          class="field !w-32 font-normal"
          :value="selling.step"
          @change="
            save({ step: Number(($event.target as HTMLSelectElement).value) as Selling['step'] })
          "
        >
          <option :value="1">1 g</option>
          <option :value="5">5 g</option>
          <option :value="10">10 g</option>
        </select>
      </FieldRow>
      <LabelledNumber
        says="Good for so many months once opened"
        width="w-24"
        :decimals="0"
        :min="1"
        :max="60"
        :model-value="selling.opened"
        @update:model-value="(opened) => save({ opened })"
      />
    </div>
    <details>
      <summary class="cursor-pointer font-semibold">How lists are written</summary>
      <div class="mt-3 grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        <FieldRow says="Water is called"
          ><OneOf
            label="Water is called"
            :options="[
              { is: 'Aqua', says: 'Aqua' },
              { is: 'Water', says: 'Water' },
            ]"
            :model-value="own.water"
            @update:model-value="(value) => rule('water', value)"
        /></FieldRow>
        <FieldRow says="Scent is called"
          ><OneOf
            label="Scent is called"
            :options="[
              { is: 'Parfum', says: 'Parfum' },
              { is: 'Fragrance', says: 'Fragrance' },
            ]"
            :model-value="own.scent"
            @update:model-value="(value) => rule('scent', value)"
        /></FieldRow>
        <FieldRow says="Plants by their names in"
          ><OneOf
            label="Plants by their names in"
            :options="[
              { is: 'latin', says: 'Latin' },
              { is: 'english', says: 'English' },
              { is: 'both', says: 'both' },
            ]"
            :model-value="own.plants"
            @update:model-value="(value) => rule('plants', value)"
        /></FieldRow>
        <FieldRow says="Colours by number"
          ><OneOf
            label="Colours by number"
            :options="yesNo"
            :model-value="own.coloursByNumber"
            @update:model-value="(value) => rule('coloursByNumber', value)"
        /></FieldRow>
        <FieldRow says="Colours last"
          ><OneOf
            label="Colours last"
            :options="yesNo"
            :model-value="own.coloursLast"
            @update:model-value="(value) => rule('coloursLast', value)"
        /></FieldRow>
        <FieldRow says="Ounces beside grams"
          ><OneOf
            label="Ounces beside grams"
            :options="yesNo"
            :model-value="own.dualUnits"
            @update:model-value="(value) => rule('dualUnits', value)"
        /></FieldRow>
        <LabelledNumber
          says="Smallest type, height of an x, mm"
          width="w-24"
          :decimals="1"
          :min="0.7"
          :max="5"
          :model-value="own.smallestType"
          @update:model-value="(value) => value !== null && rule('smallestType', value)"
        />
        <FieldRow says="Allergens that are named">
          <select
            class="field font-normal"
            :value="own.allergens"
            @change="
              rule('allergens', ($event.target as HTMLSelectElement).value as Rules['allergens'])
            "
          >
            <option v-for="one in allergenLists" :key="one.id" :value="one.id">
              {{ one.says }}
            </option>
          </select>
        </FieldRow>
        <FieldRow says="And these besides">
          <input
            class="field font-normal"
            :value="allergens"
            placeholder="Menthol, Vanillin"
            @change="
              save({
                allergens: ($event.target as HTMLInputElement).value
                  .split(',')
                  .map((word) => word.trim())
                  .filter(Boolean),
              })
            "
          />
        </FieldRow>
      </div>
      <p v-if="list.names.length" class="mt-2 text-[13px] text-ink-2">
        {{ list.says }}, {{ say.count(list.names.length, 'name', 'names') }}, counts from
        {{ dayText(list.from, { long: true }) }}: {{ list.source }}. Named is what is over
        {{ say.percent(namedFrom, 2) }} of a bar that is rinsed off, and what its sheet only names.
      </p>
    </details>
    <details id="names">
      <summary class="cursor-pointer font-semibold">
        Names of ingredients
        <span v-if="Object.keys(selling.names).length" class="font-normal text-ink-2"
          >{{ say.count(Object.keys(selling.names).length, 'one', 'ones') }} of your own</span
        >
      </summary>
      <ul class="mt-2 grid gap-x-8 sm:grid-cols-2">
        <li
          v-for="(one, id) in selling.names"
          :key="id"
          class="flex items-center gap-3 border-b border-line py-1"
        >
          <b class="min-w-0 flex-1 truncate">{{ nameOf(String(id)) }}</b>
          <span class="min-w-0 flex-1 truncate">{{ one.latin }}</span>
          <button
            type="button"
            class="link"
            :aria-label="`Forget the name of ${nameOf(String(id))}`"
            @click="dropName(String(id))"
          >
            ×
          </button>
        </li>
      </ul>
      <form class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="keepName">
        <FieldRow says="Ingredient"
          ><input v-model="naming" class="field !w-56 font-normal" list="nameable"
        /></FieldRow>
        <datalist id="nameable">
          <option v-for="one in nameable" :key="one.id" :value="one.name">
            {{ one.known ? 'has a name' : '' }}
          </option>
        </datalist>
        <FieldRow says="In Latin, or as the rules name it"
          ><input v-model="latin" class="field !w-64 font-normal" maxlength="120"
        /></FieldRow>
        <FieldRow says="In English"
          ><input v-model="english" class="field !w-48 font-normal" maxlength="120"
        /></FieldRow>
        <AppButton @click="keepName">Keep it</AppButton>
      </form>
    </details>
  </section>
</template>
