<script setup lang="ts">
import type { LabelSubject } from '#contracts/label'

/** Labels of one batch: from what is in its bars to what lies in the printer. */
const { params } = useRoute()
const id = String(params.id)
const subject = computed((): LabelSubject => ({ of: 'batch', id }))
const labelling = useLabelling(subject)
const designs = useDesigns()
const soaps = useSoapWords()
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())
const batch = computed(() => labelling.batches.value.get(id) ?? null)
const name = computed(() => (batch.value ? `${batch.value.name} ${batch.value.number}` : 'a batch'))
useHead({ title: () => `Labels for ${name.value} · Mantle` })
const here = computed(() => {
  const facts = batch.value?.facts
  return facts ? Math.max(0, facts.bars - facts.out) : 1
})
const chosen = ref('')
/** The design that was used last for this soap, else the first there is. */
const design = computed({
  get: () => {
    const wanted = chosen.value || (batch.value && soaps.of(batch.value.formulaId).designId) || ''
    return designs.list.some((one) => one.id === wanted) ? wanted : usualDesign(designs.list)
  },
  set: (now) => {
    chosen.value = now
    if (batch.value) void change({ designId: now })
  },
})
const words = computed(() => (batch.value ? soaps.of(batch.value.formulaId) : null))
async function change(changes: Parameters<typeof soaps.change>[1]) {
  try {
    await soaps.change(batch.value!.formulaId, changes)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const fields = [
  { key: 'tagline', says: 'Second line', most: 80 },
  { key: 'use', says: 'What it is for', most: 200 },
  { key: 'warnings', says: 'Warnings', most: 300 },
] as const
const grams = (value: number) => say.value.number(value, 0)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="labelling.problem.value" role="alert" class="font-semibold text-stop">
      {{ labelling.problem.value }}
    </p>
    <LabelDesk
      v-if="batch && labelling.loaded.value"
      v-model:design="design"
      :subject="subject"
      :labelling="labelling"
      :usual="here"
      :title="`Labels for ${name}`"
    >
      <template #face
        ><BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38"
      /></template>
      <template #under="{ labelled }">
        {{ say.count(here, 'bar', 'bars') }}.
        <template v-if="labelled?.net.stated"
          >Dry they weigh about {{ grams(labelled.net.dry) }} g, long dried nearly all still
          {{ say.number(labelled.net.nearly, 1) }} g: the label says
          <b class="text-ink">{{ labelled.net.stated }} g</b>.</template
        >
        <template v-else>Nothing is known of their weight yet: pour it first.</template>
      </template>
      <template #more>
        <details v-if="words">
          <summary class="cursor-pointer font-semibold">What customers read of this soap</summary>
          <div class="mt-2 grid gap-2">
            <FieldRow v-for="field in fields" :key="field.key" :says="field.says">
              <input
                class="field font-normal"
                :maxlength="field.most"
                :value="words[field.key]"
                :placeholder="field.key === 'warnings' ? 'as on all labels' : 'as its formula says'"
                @change="change({ [field.key]: ($event.target as HTMLInputElement).value })"
              />
            </FieldRow>
            <FieldRow says="A bar costs"
              ><MoneyField
                label="Price of a bar"
                class="w-32 font-normal"
                :model-value="words.price"
                @update:model-value="(price) => change({ price })"
            /></FieldRow>
          </div>
        </details>
        <NuxtLink :to="`/batches/${batch.id}`" class="link">To the batch</NuxtLink>
      </template>
    </LabelDesk>
  </div>
</template>
