<script setup lang="ts">
import type { LessonWhen } from '#contracts/journal'
import { patterns } from '#contracts/words'
import { pours } from '#core/batter/patterns'

/** When a lesson speaks up in a formula. */
const open = defineModel<boolean>({ required: true })
const { when } = defineProps<{ when: LessonWhen | null }>()
const emit = defineEmits<{ keep: [when: LessonWhen | null] }>()
const materials = useMaterials()
const formulas = useFormulas()
const now = reactive<LessonWhen>({
  anyOf: when?.anyOf ?? [],
  atLeast: when?.atLeast ?? 0,
  gel: when?.gel ?? null,
  pattern: when?.pattern ?? null,
  formulaId: when?.formulaId ?? null,
})
const names = computed(() => {
  const {
    fats,
    additives,
    liquids,
    scents = new Map<string, { name: string }>(),
  } = materials.library
  return [...fats.entries(), ...additives.entries(), ...liquids.entries(), ...scents.entries()].map(
    ([id, { name }]) => ({ id, name: name.split(',')[0]! }),
  )
})
const typed = ref('')
function add() {
  const found = names.value.find(
    ({ name }) => name.toLowerCase() === typed.value.trim().toLowerCase(),
  )
  if (found && !now.anyOf.includes(found.id)) now.anyOf = [...now.anyOf, found.id]
  if (found) typed.value = ''
}
const nameOf = (id: string) => names.value.find((one) => one.id === id)?.name ?? id
const silent = computed(() => !now.anyOf.length && !now.gel && !now.pattern && !now.formulaId)
function keep() {
  emit('keep', silent.value ? null : { ...now })
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="When it speaks up" :keep="{ says: 'Keep it', act: keep }">
    <form class="grid gap-3 px-5 py-4" @submit.prevent="add">
      <p class="text-ink-2">In a formula of which all of this holds.</p>
      <div class="grid gap-1">
        <label for="lesson-of">One of these is in it</label>
        <ul v-if="now.anyOf.length" class="flex flex-wrap gap-2">
          <li v-for="id in now.anyOf" :key="id">
            <button
              type="button"
              class="chip"
              :aria-label="`Leave out ${nameOf(id)}`"
              @click="now.anyOf = now.anyOf.filter((one) => one !== id)"
            >
              {{ nameOf(id) }} ×
            </button>
          </li>
        </ul>
        <div class="flex gap-2">
          <input
            id="lesson-of"
            v-model="typed"
            class="field flex-1"
            list="lesson-materials"
            placeholder="Honey"
            @change="add"
          />
          <datalist id="lesson-materials">
            <option v-for="one in names" :key="one.id" :value="one.name" />
          </datalist>
          <AppButton @click="add">Add</AppButton>
        </div>
      </div>
      <label v-if="now.anyOf.length" class="grid gap-1"
        >From how much of the oils on, %
        <NumberField
          label="From how much of the oils on, %"
          :model-value="now.atLeast * 100"
          :min="0"
          :max="100"
          @update:model-value="(value: number | null) => (now.atLeast = (value ?? 0) / 100)"
        />
      </label>
      <label class="grid gap-1"
        >Gel
        <select v-model="now.gel" class="field">
          <option :value="null">whatever it is</option>
          <option value="force">forced</option>
          <option value="prevent">prevented</option>
          <option value="leave">left to itself</option>
        </select>
      </label>
      <label class="grid gap-1"
        >Poured as
        <select v-model="now.pattern" class="field">
          <option :value="null">anything</option>
          <option v-for="pattern in patterns" :key="pattern" :value="pattern">
            {{ pours[pattern].says }}
          </option>
        </select>
      </label>
      <label class="grid gap-1"
        >Formula
        <select v-model="now.formulaId" class="field">
          <option :value="null">any</option>
          <option v-for="formula in formulas.list" :key="formula.id" :value="formula.id">
            {{ formula.document.name }}
          </option>
        </select>
      </label>
      <p v-if="silent" class="text-ink-2">Nothing is chosen: it stays silent.</p>
    </form>
    <template #actions><AppButton kind="main" @click="keep">Keep it</AppButton></template>
  </AppDialog>
</template>
