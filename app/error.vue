<script setup lang="ts">
import type { NuxtError } from '#app'

/** A wrong address, or something that broke: in the same hand, with ways on. */
const { error } = defineProps<{ error: NuxtError }>()
const missing = computed(() => error.statusCode === 404)
const leave = () => clearError({ redirect: '/' })
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <header
      class="flex h-[52px] items-center gap-2.5 bg-slate px-5 text-[17px] font-bold text-white"
    >
      <i class="chamfer block h-4 w-[26px] bg-chalk [--cut:4px]" /> Mantle
    </header>
    <main id="main" class="mx-auto w-full max-w-xl px-4 py-12">
      <div class="sheet px-6 py-6">
        <h1>{{ missing ? 'There is nothing on this shelf' : 'Something broke' }}</h1>
        <p class="my-3 text-ink-2">
          {{
            missing
              ? 'The address may be mistyped, or what it led to is deleted. Whatever was written down is where it was.'
              : 'Mantle could not go on with this page. What was typed and kept is safe; load the page again, or begin at the Shelf.'
          }}
        </p>
        <AppButton kind="main" @click="leave">To the Shelf</AppButton>
      </div>
    </main>
  </div>
</template>
