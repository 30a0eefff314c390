<script setup lang="ts">
/** Jars of trial days that want a nose today, all of them one round. */
const { say } = storeToRefs(useWorkshop())
const due = ref(0)
onMounted(async () => {
  const answer = await api.get<{ due: number }>('/api/sniffing').catch(() => null)
  due.value = answer?.due ?? 0
})
</script>

<template>
  <div
    v-if="due"
    class="grid grid-cols-[44px_1fr_auto] items-center gap-3 border-t border-line px-4 py-1.5"
  >
    <svg viewBox="0 0 32 42" class="mx-auto h-9" aria-hidden="true">
      <path d="M5 8 H27 L24 38 H8 Z" fill="#3a4749" stroke="#182022" />
      <path d="M3 5 H29 V10 H3 Z" fill="#8a9794" />
    </svg>
    <div>
      <b class="block text-[15px] leading-5 font-[650]">{{
        say.count(due, 'jar wants a nose', 'jars want a nose')
      }}</b>
      <p class="text-[13px] leading-[18px] text-ink-2">One round, blind, several noses.</p>
    </div>
    <AppButton class="min-w-20" to="/scents/sniffing">Sniff</AppButton>
  </div>
</template>
