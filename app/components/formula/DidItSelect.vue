<script setup lang="ts">
import type { VersionNotes } from '#contracts/version'

/** Whether a change did what it was for. */
const didIt = defineModel<VersionNotes['didIt']>({ required: true })
const answers = { yes: 'it did', partly: 'partly', no: 'it did not' } as const
</script>

<template>
  <select v-model="didIt" class="field py-1 text-ink">
    <option :value="null">not known yet</option>
    <option v-for="(says, id) in answers" :key="id" :value="id">{{ says }}</option>
  </select>
</template>
