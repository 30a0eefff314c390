<script setup lang="ts">
import { Copy } from '@lucide/vue'

/** One page that tells another maker everything to judge a batch by. */
const { batch, problem } = useBatchPage()
const { today, say, humidity } = storeToRefs(useWorkshop())
const question = ref('')
const copied = ref(false)
useHead({
  title: () => (batch.value ? `Help, batch ${batch.value.number} · Mantle` : 'Help · Mantle'),
})
const parts = computed(() =>
  batch.value ? helpSheet(batch.value, say.value, today.value, humidity.value) : [],
)
const title = computed(() =>
  batch.value ? `${batch.value.name}, batch ${batch.value.number}: what do you make of it?` : '',
)
const refused = ref(false)
const giving = ref(false)
async function copy() {
  try {
    await navigator.clipboard.writeText(helpText(title.value, question.value.trim(), parts.value))
    copied.value = true
  } catch {
    refused.value = true
  }
}
const save = () =>
  download(
    `batch-${batch.value!.number}-help.txt`,
    helpText(title.value, question.value.trim(), parts.value),
    'text/plain',
  )
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <PrintPage v-else-if="batch">
    <template #back><AppButton :to="`/batches/${batch.id}`">To the batch</AppButton></template>
    <template #actions>
      <AppButton @click="copy"
        ><Copy :size="16" /> {{ copied ? 'Copied' : 'Copy as text' }}</AppButton
      >
      <AppButton @click="save">Save as text</AppButton>
      <AppButton @click="giving = true">Give it away</AppButton>
    </template>
    <p v-if="refused" role="alert" class="mb-3 text-stop no-print">
      This browser does not let Mantle copy; save it as text instead.
    </p>
    <article class="sheet px-6 py-5">
      <h1 class="mb-2 text-[20px]">{{ title }}</h1>
      <FieldRow says="What you ask" class="no-print">
        <textarea v-model="question" class="field min-h-16 font-normal" maxlength="1000" />
      </FieldRow>
      <p v-if="question" class="hidden print:block">{{ question }}</p>
      <div class="mt-3 gap-x-8 sm:columns-2 print:columns-2">
        <section v-for="part in parts" :key="part.title" class="mb-3 break-inside-avoid">
          <h2>{{ part.title }}</h2>
          <ul class="figure text-[13.5px]">
            <li v-for="line in part.lines" :key="line">{{ line }}</li>
          </ul>
        </section>
      </div>
      <PhotoStrip :batch="batch" />
    </article>
    <LazyGiveDialog v-if="giving" v-model="giving" :make="() => giveBatch(batch!, parts)" />
  </PrintPage>
</template>
