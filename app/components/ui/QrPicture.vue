<script setup lang="ts">
/** An address as a QR code. */
const { text } = defineProps<{ text: string; says: string }>()
const picture = ref('')
watchEffect(() => {
  const wanted = text
  void import('qrcode').then(async ({ default: qr }) => {
    picture.value = await qr.toString(wanted, { type: 'svg', margin: 1 })
  })
})
</script>

<template>
  <!-- eslint-disable-next-line vue/no-v-html -- drawn by the QR library from this page's own text -->
  <div role="img" :aria-label="says" v-html="picture" />
</template>
