<script setup lang="ts">
import { CircleHelp, Info, OctagonX } from '@lucide/vue'
import type { Remark } from '#contracts/result'

/** What Mantle thinks of it: the gravest first, three at most until asked for more. */
const props = defineProps<{ remarks: Remark[] }>()
const emit = defineEmits<{ fix: [remark: Remark] }>()
const all = ref(false)
const shown = computed(() => (all.value ? props.remarks : props.remarks.slice(0, 3)))
const looks = {
  stop: { icon: OctagonX, colour: 'text-stop', says: 'Stop' },
  think: { icon: CircleHelp, colour: 'text-warn', says: 'Think' },
  know: { icon: Info, colour: 'text-act', says: 'Know' },
}
</script>

<template>
  <section aria-label="Remarks" aria-live="polite">
    <p v-if="!remarks.length" class="border-t border-line-2 px-4 py-2.5 text-ink-2"><slot /></p>
    <ul>
      <li
        v-for="remark in shown"
        :key="remark.id"
        class="grid grid-cols-[18px_1fr_auto] items-start gap-x-2 border-t border-line-2 px-4 py-2 text-[13.5px]"
      >
        <component
          :is="looks[remark.severity].icon"
          :size="17"
          class="mt-0.5"
          :class="looks[remark.severity].colour"
          aria-hidden="true"
        />
        <div>
          <b :class="looks[remark.severity].colour">{{ looks[remark.severity].says }}.</b>
          <template v-if="remark.pot"
            ><b>{{ remark.pot }}.</b></template
          >
          {{ remark.says }}
          <details>
            <summary class="inline cursor-pointer font-medium underline underline-offset-3">
              Why?
            </summary>
            <p class="mt-0.5 text-ink-2">{{ remark.because }}</p>
          </details>
        </div>
        <button
          v-if="remark.fix"
          type="button"
          class="link max-w-32 text-right"
          @click="emit('fix', remark)"
        >
          {{ remark.fix.label }}
        </button>
      </li>
    </ul>
    <button
      v-if="remarks.length > 3"
      type="button"
      class="link w-full border-t border-line-2 px-4 py-2 text-left text-sm"
      @click="all = !all"
    >
      {{ all ? 'Show the first three' : `${remarks.length - 3} more` }}
    </button>
  </section>
</template>
