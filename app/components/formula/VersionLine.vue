<script setup lang="ts">
import { changesBetween, inOneLine } from '#core/versions/changes'

/** Which version this is and what it changed, or what has changed since the last one that was kept. */
const emit = defineEmits<{ open: [] }>()
const { id, document, versions } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const line = computed(() => {
  const [last, before] = versions.value
  if (!last) return null
  const since = changesBetween(last.document, document.value, library.value, say.value)
  if (since.length) return { name: `Since ${last.name}`, says: inOneLine(since, 2), with: last.id }
  const made = before
    ? changesBetween(before.document, last.document, library.value, say.value)
    : []
  return {
    name: last.name,
    says: before ? `from ${before.name}: ${inOneLine(made, 2)}` : '',
    with: before?.id ?? null,
  }
})
</script>

<template>
  <p class="figure text-[13px] text-ink-2">
    <template v-if="line">
      <button
        type="button"
        class="font-bold text-ink underline underline-offset-3"
        @click="emit('open')"
      >
        {{ line.name }}</button><template v-if="line.says">, {{ line.says }}</template>
      <NuxtLink
        v-if="line.with"
        :to="`/formulas/compare?a=v:${line.with}&b=f:${id}`"
        class="link ml-1.5"
        >Compare</NuxtLink
      >
    </template>
    <button v-else type="button" class="underline underline-offset-3" @click="emit('open')">
      Keep a version
    </button>
  </p>
</template>
