<script setup lang="ts">
import { Camera } from '@lucide/vue'
import type { PhotoOf } from '~/utils/smallPhoto'

/** Photos that go with what is written down: taken or chosen, made small here, kept at once. */
const { of, most = 8 } = defineProps<{ of: PhotoOf; most?: number }>()
const ids = defineModel<string[]>({ required: true })
const problem = ref('')
const busy = ref(false)
async function add(event: Event) {
  const input = event.target as HTMLInputElement
  busy.value = true
  problem.value = ''
  for (const file of [...(input.files ?? [])].slice(0, most - ids.value.length))
    try {
      ids.value = [...ids.value, await sendPhoto(of, file)]
    } catch (error) {
      problem.value =
        error instanceof ApiError ? error.message : `${file.name} cannot be read as a picture.`
    }
  busy.value = false
  input.value = ''
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-3">
    <figure v-for="(id, place) in ids" :key="id" class="relative">
      <img :src="`/api/photos/${id}`" :alt="`Photo ${place + 1}`" class="size-16 object-cover" />
      <button
        type="button"
        class="absolute top-0 right-0 bg-slate px-1.5 text-white"
        :aria-label="`Leave out photo ${place + 1}`"
        @click="ids = ids.filter((one) => one !== id)"
      >
        ×
      </button>
    </figure>
    <label
      v-if="ids.length < most"
      class="flex cursor-pointer items-center gap-2 rounded-sm border border-line-3 px-3 py-1.5 focus-within:outline-2"
      ><Camera :size="16" aria-hidden="true" /> {{ busy ? 'Keeping…' : 'Photo' }}
      <input
        type="file"
        accept="image/*"
        :multiple="most > 1"
        class="sr-only"
        :disabled="busy"
        @change="add"
      />
    </label>
    <p v-if="problem" role="alert" class="w-full text-stop">{{ problem }}</p>
  </div>
</template>
