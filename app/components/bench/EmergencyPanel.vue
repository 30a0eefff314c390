<script setup lang="ts">
import { emergencies, type Emergency } from '#core/bench/run/emergency'

/** What to do now when something has happened. It stands in the bench itself, so that nothing has to be closed; the run waits. */
const { settings } = storeToRefs(useWorkshop())
const { says = 'Back to the bench' } = defineProps<{ says?: string }>()
const emit = defineEmits<{ back: [] }>()
const chosen = ref<Emergency | null>(null)
const numbers = computed(() => {
  const { ambulance, poison } = settings.value.emergency
  return [
    { id: 'ambulance', says: 'Ambulance', number: ambulance },
    { id: 'poison', says: 'Poison centre', number: poison },
  ] as const
})
useBenchKeys({
  Escape: () => (chosen.value ? (chosen.value = null) : emit('back')),
  ...Object.fromEntries(
    emergencies.map((one, index) => [String(index + 1), () => (chosen.value = one)]),
  ),
})
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" aria-label="Emergency">
    <div class="min-h-0 flex-1 overflow-y-auto px-4 py-4 sm:px-9">
      <div class="flex flex-wrap gap-3" role="group" aria-label="Numbers to call">
        <template v-for="one in numbers" :key="one.id">
          <a
            v-if="one.number"
            :href="`tel:${one.number.replace(/[^0-9+*#]/g, '')}`"
            class="figure flex min-h-16 flex-1 flex-col justify-center px-4 text-white"
            :class="chosen && chosen.calls === one.id ? 'bg-[#a02b1e]' : 'bg-[#5b241c]'"
          >
            <small class="text-[15px]">{{ one.says }}</small>
            <b class="text-[30px] leading-tight">{{ one.number }}</b>
          </a>
          <p v-else class="flex-1 border border-line px-4 py-3 text-[15px] text-ink-2">
            {{ one.says }}: nobody has entered its number. It goes into the workshop’s settings.
          </p>
        </template>
      </div>
      <template v-if="chosen">
        <h1 class="mt-5 text-[34px] leading-tight font-bold text-ink sm:text-[44px]">
          {{ chosen.says }}
        </h1>
        <ol class="mt-3 grid gap-3">
          <li
            v-for="(line, index) in chosen.now"
            :key="line"
            class="grid grid-cols-[44px_1fr] items-start bg-[#232d2f] px-3 py-3 text-[19px] leading-snug sm:text-[23px]"
          >
            <b class="figure text-[#f3c24b]">{{ index + 1 }}</b><span>{{ line }}</span>
          </li>
        </ol>
        <p
          class="mt-3 border-l-8 border-[#e0442e] bg-[#3a1d18] px-4 py-3 text-[19px] font-bold sm:text-[22px]"
        >
          {{ chosen.never }}
        </p>
      </template>
      <template v-else>
        <h1 class="mt-5 text-[30px] font-bold text-ink">What has happened?</h1>
        <ol class="mt-3 grid grid-cols-2 gap-3">
          <li v-for="(one, index) in emergencies" :key="one.id">
            <button
              type="button"
              class="grid min-h-24 w-full grid-cols-[36px_1fr] items-center bg-[#5b241c] px-4 py-3 text-left text-[20px] leading-tight font-bold text-white sm:text-[26px]"
              @click="chosen = one"
            >
              <span class="figure text-[#f3c24b]">{{ index + 1 }}</span>{{ one.says }}
            </button>
          </li>
        </ol>
      </template>
      <p class="mt-4 text-[15px] text-ink-2">
        Usual first aid until somebody comes who knows more. The lye’s own safety sheet, local rules
        and whoever answers the call come first.
      </p>
    </div>
    <div class="flex flex-none gap-2 border-t border-line px-3 py-3 sm:gap-3.5 sm:px-9 sm:py-5">
      <BenchKey v-if="chosen" says="Something else" hint="Esc" @click="chosen = null" />
      <BenchKey :says="says" hint="E; the run has waited" @click="emit('back')" />
    </div>
  </section>
</template>
