<script setup lang="ts">
import { Check } from '@lucide/vue'

/** The room and clothing check: each point by one key, kept in the record. */
const bench = useBench()
const { safetyCheck, state } = bench
const all = computed(() => safetyCheck.value.every(({ id }) => state.value.confirmed.has(id)))
function confirm(id: string) {
  if (!state.value.confirmed.has(id)) bench.tell({ kind: 'confirmed', point: id })
}
/** Space confirms the next point, then goes on. */
function main() {
  const open = safetyCheck.value.find(({ id }) => !state.value.confirmed.has(id))
  if (open) confirm(open.id)
  else bench.finish()
}
useBenchKeys({
  ' ': main,
  ...Object.fromEntries(
    Array.from({ length: 9 }, (_, index) => [
      String(index + 1),
      () => safetyCheck.value[index] && confirm(safetyCheck.value[index].id),
    ]),
  ),
})
</script>

<template>
  <BenchFrame>
    <ul class="mt-4 grid gap-2.5">
      <li v-for="(point, index) in safetyCheck" :key="point.id">
        <button
          type="button"
          class="flex min-h-16 w-full items-center gap-4 px-4 py-2 text-left text-[18px] leading-snug"
          :class="
            state.confirmed.has(point.id) ? 'bg-[#22402f] text-[#d8efe2]' : 'bg-[#2d393b] text-ink'
          "
          :aria-pressed="state.confirmed.has(point.id)"
          @click="confirm(point.id)"
        >
          <span
            class="grid size-9 shrink-0 place-items-center border-2 border-current font-mono text-[16px]"
          >
            <Check v-if="state.confirmed.has(point.id)" :size="22" aria-hidden="true" />
            <template v-else>{{ index + 1 }}</template>
          </span>
          {{ point.says }}
        </button>
      </li>
    </ul>
    <ScaleCheck v-if="!bench.practising" />
    <p class="mt-4 text-[15px] text-ink-2">
      If it happens all the same: <b>Emergency</b>, the key E, on every screen of the bench. Local
      rules and the supplier’s safety sheet come first.
    </p>
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="all ? 'Dressed, room is clear' : 'Confirm the next point'"
        :hint="all ? 'Space goes on' : 'Space, or its number'"
        @click="main"
      />
    </template>
  </BenchFrame>
</template>
