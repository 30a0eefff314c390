<script setup lang="ts">
import type { Given } from '~/utils/give'

/** What is given away: one page that any browser shows, and a square code that carries the formula while it fits. */
const open = defineModel<boolean>({ required: true })
const { make } = defineProps<{ make: () => Promise<Given> }>()
const given = shallowRef<Given | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    given.value = await make()
  } catch {
    problem.value = 'This cannot be given away yet: the formula is not whole.'
  }
})
const save = () =>
  given.value && downloadFile(given.value.name, new Blob([given.value.html], { type: 'text/html' }))
</script>

<template>
  <AppDialog v-model="open" title="Give it away" live>
    <div class="grid gap-3 px-5 py-4">
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
      <template v-if="given">
        <p>
          One page that any browser shows, with lye strength, temperatures and treatment in it.
          Suppliers, notes and what it cost stay here.
        </p>
        <QrPicture
          class="max-w-56 bg-white"
          :text="given.code"
          :says="
            given.inCode ? 'The formula as a square code' : 'The name of the page as a square code'
          "
        />
        <p class="text-ink-2">
          {{
            given.inCode
              ? 'The code carries the whole formula: pasted into Import it is read as a file.'
              : `The formula is too long for a code, so it names the page: ${given.name}.`
          }}
        </p>
      </template>
    </div>
    <template #actions
      ><AppButton kind="main" :disabled="!given" @click="save">Save the page</AppButton></template
    >
  </AppDialog>
</template>
