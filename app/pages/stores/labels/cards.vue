<script setup lang="ts">
import type { LabelSubject } from '#contracts/label'

/** Cards that stand on the shelf or at the stall: one for each soap that is ready, with its price. */
useHead({ title: 'Cards for the shelf · Mantle' })
const { soaps, load } = useShelfSoaps()
const designs = useDesigns()
const words = useSoapWords()
const { settings } = storeToRefs(useWorkshop())
onMounted(load)
const left = ref<ReadonlySet<string>>(new Set())
const ready = computed(() => soaps.value.filter((soap) => soap.ready > 0))
const subject = computed((): LabelSubject => ({
  of: 'prices',
  ids: ready.value
    .filter((soap) => !left.value.has(soap.formulaId))
    .map((soap) => soap.batches[0]!.id),
}))
const labelling = useLabelling(subject)
const chosen = ref('')
const design = computed({
  get: () => {
    const cards = designs.list.filter(({ document }) => document.form === 'card')
    return designs.list.some(({ id }) => id === chosen.value)
      ? chosen.value
      : (cards[0]?.id ?? designs.list[0]?.id ?? '')
  },
  set: (now) => (chosen.value = now),
})
function toggle(formulaId: string) {
  const next = new Set(left.value)
  if (!next.delete(formulaId)) next.add(formulaId)
  left.value = next
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <section class="sheet mb-3 px-4 py-3" aria-label="Which soaps">
      <ul class="flex flex-wrap gap-x-5 gap-y-2">
        <li v-for="soap in ready" :key="soap.formulaId">
          <label class="flex min-h-9 items-center gap-2"
            ><input
              type="checkbox"
              :checked="!left.has(soap.formulaId)"
              @change="toggle(soap.formulaId)"
            />
            {{ soap.name }}
            <span class="figure text-ink-2">{{
              words.of(soap.formulaId).price === null
                ? 'no price'
                : moneyText(words.of(soap.formulaId).price!, settings.currency)
            }}</span></label
          >
        </li>
      </ul>
      <p v-if="!ready.length" class="text-ink-2">
        No soap is ready to leave: cards are made of those that are.
      </p>
      <NuxtLink v-else to="/stores/labels/prices" class="link text-[13px]"
        >Set prices in the list</NuxtLink
      >
    </section>
    <LabelDesk
      v-if="labelling.loaded.value && subject.of === 'prices' && subject.ids.length"
      v-model:design="design"
      :subject="subject"
      :labelling="labelling"
      :usual="subject.ids.length"
      title="Cards for the shelf"
    >
      <template #under>The first of {{ subject.ids.length }} is shown.</template>
    </LabelDesk>
  </div>
</template>
