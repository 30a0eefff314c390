<script setup lang="ts">
import { journalKinds, outcomes, type JournalEdge, type JournalFilter } from '#contracts/journal'

/** What is shown, as one sentence of chosen words. */
const filter = defineModel<JournalFilter>({ required: true })
const { edge } = defineProps<{ edge: JournalEdge | null }>()
const set = (changes: Partial<JournalFilter>) => (filter.value = { ...filter.value, ...changes })
const chosen = (event: Event) => (event.target as HTMLSelectElement).value
const word =
  'max-w-40 [field-sizing:content] cursor-pointer rounded-sm border-0 border-b border-line-3 bg-transparent px-0.5 text-ink underline-offset-2'
</script>

<template>
  <p class="flex flex-wrap items-center gap-x-1 gap-y-1 text-[13px] text-ink-2">
    Show
    <select
      :class="word"
      aria-label="Kind of entries"
      :value="filter.kind ?? ''"
      @change="set({ kind: (chosen($event) || null) as JournalFilter['kind'] })"
    >
      <option value="">every kind</option>
      <option v-for="kind in journalKinds" :key="kind" :value="kind">{{ kindWords[kind] }}</option>
    </select>
    , by
    <select
      :class="word"
      aria-label="Who wrote it"
      :value="filter.who"
      @change="set({ who: chosen($event) })"
    >
      <option value="">anyone</option>
      <option v-for="name in edge?.who" :key="name" :value="name">{{ name }}</option>
    </select>
    , in
    <select
      :class="word"
      aria-label="Mould"
      :value="filter.mould"
      @change="set({ mould: chosen($event) })"
    >
      <option value="">any mould</option>
      <option v-for="name in edge?.mould" :key="name" :value="name">{{ name }}</option>
    </select>
    ,
    <select
      :class="word"
      aria-label="Weather"
      :value="filter.weather"
      @change="set({ weather: chosen($event) })"
    >
      <option value="">any weather</option>
      <option v-for="name in edge?.weather" :key="name" :value="name">{{ name }}</option>
    </select>
    ,
    <select
      :class="word"
      aria-label="What became of it"
      :value="filter.outcome ?? ''"
      @change="set({ outcome: (chosen($event) || null) as JournalFilter['outcome'] })"
    >
      <option value="">any outcome</option>
      <option v-for="name in outcomes" :key="name" :value="name">{{ outcomeNames[name] }}</option>
    </select>
  </p>
</template>
