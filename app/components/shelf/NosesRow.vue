<script setup lang="ts">
/** Jars of trial days that want a nose today, all of them one round. */
const { say } = storeToRefs(useWorkshop())
const { due, load } = useJarsDue()
onMounted(load)
</script>

<template>
  <AppButton
    v-if="due"
    to="/scents/sniffing"
    class="shrink-0"
    :title="say.count(due, 'jar wants a nose today', 'jars want a nose today')"
  >
    <svg viewBox="0 0 32 42" class="h-5" aria-hidden="true">
      <path d="M5 8 H27 L24 38 H8 Z" fill="#3a4749" stroke="#182022" />
      <path d="M3 5 H29 V10 H3 Z" fill="#8a9794" />
    </svg>
    {{ say.count(due, 'jar to sniff', 'jars to sniff') }}
  </AppButton>
</template>
