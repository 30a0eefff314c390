<script setup lang="ts">
/** What to do when something has happened, from anywhere in the workshop. */
definePageMeta({ bare: true })
useHead({ title: 'Emergency' })
const router = useRouter()
function back() {
  if (window.history.length > 1) router.back()
  else void router.push('/')
}
useBenchKeys({ e: back })
</script>

<template>
  <main id="main" data-theme="bench" class="flex h-dvh flex-col bg-[#161c1e] text-ink">
    <EmergencyPanel says="Back to where I was" @back="back" />
  </main>
</template>
