<script setup lang="ts">
const workshop = useWorkshop()
const palette = usePalette()
const keyHelp = useKeyHelp()
onMounted(() => void workshop.load())
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <NuxtRouteAnnouncer />
    <StationBar class="no-print" />
    <p
      v-if="workshop.problem"
      role="alert"
      class="bg-warn-ground px-6 py-3 font-semibold text-warn no-print"
    >
      {{ workshop.problem }}
      <button type="button" class="link ml-2" @click="workshop.load()">Try again</button>
    </p>
    <main id="main" tabindex="-1" class="flex-1 outline-none">
      <NuxtPage v-if="workshop.ready" />
    </main>
    <FindOrDo v-if="palette" />
    <LazyKeyHelp v-if="keyHelp" />
    <LazyWorkshopDialog v-if="workshop.dialogOpen" />
    <ToastHost />
  </div>
</template>
