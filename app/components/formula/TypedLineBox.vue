<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { addMaterial, addOwnFat, addScent } from '#core/formula/edit'
import { idFrom, readTypedLine } from '#core/formula/typedLine'
import type { Material } from '#core/materials/library'
import type { Amount } from '#core/units/readAmount'

interface Choice {
  key: string
  says: string
  also: string
  act: () => void
}

const { document, change } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const formulas = useFormulas()
const query = ref('')
const input = ref<{ $el: HTMLInputElement } | null>(null)
const ownName = ref('')
const askOwn = ref(false)

const amountText = (amount: Amount | null) => {
  if (!amount) return ''
  if (amount.kind === 'share') return say.value.percent(amount.share, 2)
  return amount.kind === 'grams'
    ? say.value.mass(amount.grams)
    : `${say.value.number(amount.millilitres, 1)} ml`
}
const kinds = { fat: 'fat', liquid: 'liquid, in place of water', additive: 'extra' } as const

const line = computed(() => readTypedLine(query.value, library.value))

/** Scents the workshop has used, so that their maximum comes along. */
const knownScents = computed(() => {
  const scents = formulas.list.flatMap((formula) => formula.document.scents)
  return new Map(scents.map((scent) => [scent.id, scent]))
})

const choices = computed<Choice[]>(() => {
  const typed = line.value
  if (!typed) return []
  const { name, amount } = typed
  const of = amount ? ` ${amountText(amount)}` : ''
  const materials = typed.matches.slice(0, 6).map((material: Material) => ({
    key: `${material.kind} ${material.id}`,
    says: `${material.name}${of}`,
    also: kinds[material.kind],
    act: () => change(addMaterial(document.value, material, amount, library.value)),
  }))
  const known = [...knownScents.value.values()]
    .filter((scent) => (scent.name ?? scent.id).toLowerCase().startsWith(name.toLowerCase()))
    .slice(0, 3)
    .map((scent) => ({
      key: `scent ${scent.id}`,
      says: `${scent.name ?? scent.id}${of}`,
      also: 'scent you have used',
      act: () => {
        const next = addScent(document.value, scent.name ?? scent.id, amount)
        const added = next.scents.at(-1)!
        change({
          ...next,
          scents: [...next.scents.slice(0, -1), { ...added, maxOfBar: scent.maxOfBar }],
        })
      },
    }))
  const rest: Choice[] = [
    {
      key: 'scent',
      says: `“${name}”${of}`,
      also: 'as a scent',
      act: () => change(addScent(document.value, name, amount)),
    },
    {
      key: 'own',
      says: `“${name}”${of}`,
      also: 'as a fat of your own…',
      act: () => {
        ownName.value = name
        ownAmount = amount
        askOwn.value = true
      },
    },
  ]
  const fresh = knownScents.value.has(idFrom(name)) ? rest.slice(1) : rest
  return [...materials, ...known, ...fresh]
})

let ownAmount: Amount | null = null
function choose(choice: Choice | null) {
  if (!choice) return
  choice.act()
  query.value = ''
  if (input.value) input.value.$el.value = ''
}
function addOwn(sap: number | null) {
  if (sap) change(addOwnFat(document.value, ownName.value, sap, ownAmount, library.value))
}
defineExpose({ focus: () => input.value?.$el.focus() })
</script>

<template>
  <div class="px-3 pt-2.5 pb-3">
    <Combobox
      v-slot="{ open }"
      :model-value="null"
      nullable
      as="div"
      class="relative"
      @update:model-value="choose"
    >
      <ComboboxInput
        ref="input"
        class="w-full rounded-sm border border-dashed border-line-3 bg-white px-3 py-1.5 text-[#182022] placeholder:text-[#5d696a]"
        aria-label="Add a line by typing"
        :placeholder="
          document.fats.length
            ? 'Type what goes in, as shea 5% or 40 g honey'
            : 'Type the first fat, as olive 45% or 500 g olive'
        "
        autocomplete="off"
        @change="query = ($event.target as HTMLInputElement).value"
      />
      <ComboboxOptions
        v-if="open && line"
        class="menu-panel absolute inset-x-0 mt-1 max-h-80 overflow-y-auto"
      >
        <ComboboxOption
          v-for="choice in choices"
          :key="choice.key"
          v-slot="{ active }"
          :value="choice"
          as="template"
        >
          <li
            class="flex justify-between gap-3 rounded-sm px-3 py-1.5"
            :class="active ? 'bg-line-2' : ''"
          >
            <span class="truncate">{{ choice.says }}</span><span class="shrink-0 text-ink-2">{{
              choice.also
            }}</span>
          </li>
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
    <LazyAskDialog
      v-if="askOwn"
      v-model="askOwn"
      :title="`${ownName}, a fat of your own`"
      label="Saponification value, mg KOH per g"
      text="Mantle needs it to work out the lye. It stands in the certificate or the safety sheet of the fat."
      hint="Between 20 and 400. A figure like 0.135 is g NaOH per g: multiply it by 1402.8."
      :min="20"
      :max="400"
      :value="null"
      confirm="Add it"
      @number="addOwn"
    />
  </div>
</template>
