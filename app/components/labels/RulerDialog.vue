<script setup lang="ts">
/** Sets the millimetres of this screen by a ruler that is held to it. */
const open = defineModel<boolean>({ required: true })
/** Pixels of this screen that are a millimetre. */
const pixels = defineModel<number>('pixels', { required: true })
const own = ref(pixels.value)
/** Long enough to read a ruler by, and no wider than a phone. */
const long = 80
function keep() {
  pixels.value = own.value
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="Set this screen by a ruler">
    <div class="grid gap-4 px-5 py-4">
      <p>Hold a ruler to the bar and slide until it is {{ long }} mm long.</p>
      <div class="overflow-x-auto py-2">
        <svg :width="own * long + 2" height="40" aria-hidden="true">
          <rect x="1" y="12" :width="own * long" height="26" fill="#e0cf98" stroke="#182022" />
          <line
            v-for="cm in 9"
            :key="cm"
            :x1="1 + (cm - 1) * 10 * own"
            :x2="1 + (cm - 1) * 10 * own"
            y1="12"
            y2="24"
            stroke="#182022"
          />
        </svg>
      </div>
      <label class="grid gap-1 font-semibold"
        >Length of the bar
        <input v-model.number="own" type="range" min="2" max="8" step="0.01" class="w-full" />
      </label>
    </div>
    <template #actions
      ><AppButton kind="main" @click="keep">It is {{ long }} mm</AppButton></template
    >
  </AppDialog>
</template>
