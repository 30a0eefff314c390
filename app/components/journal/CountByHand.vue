<script setup lang="ts">
import type { Answer } from '#core/learning/answer'

/** Every batch of one side against every batch of the other: the table by which the middle difference is counted by hand. */
const open = defineModel<boolean>({ required: true })
const { answer } = defineProps<{ answer: Answer }>()
const { say } = storeToRefs(useWorkshop())
const sorted = (side: number) => [...answer.sides[side]!.points].sort((a, b) => a.value - b.value)
const [one, other] = [computed(() => sorted(0)), computed(() => sorted(1))]
const text = (value: number) => answer.axis.apart(Math.abs(value), say.value)
const figure = (value: number) => `${value < 0 ? '−' : ''}${text(value)}`
const middle = computed(() => answer.shift?.at ?? 0)
const isMiddle = (value: number) => Math.abs(value - middle.value) < 1e-9
</script>

<template>
  <AppDialog v-model="open" title="Counted by hand" wide live>
    <div class="px-5 py-4">
      <p>
        Each figure of “{{ answer.sides[0]!.says }}” less each of “{{ answer.sides[1]!.says }}”. Put
        all {{ say.number(one.length * other.length) }} in a row by size: the one in the middle is
        <b>{{ figure(middle) }}</b>.
      </p>
      <div
        class="mt-3 max-h-[60dvh] overflow-auto"
        tabindex="0"
        role="region"
        aria-label="Differences"
      >
        <table class="figure text-[13.5px]">
          <thead>
            <tr>
              <th scope="col" class="sticky left-0 bg-sheet pr-3 text-left font-normal text-ink-2">
                less
              </th>
              <th
                v-for="{ batch, value } in other"
                :key="batch.id"
                scope="col"
                class="px-2 text-right"
              >
                {{ answer.axis.text(value, say) }}
                <span class="block text-[12px] font-normal text-ink-2">{{ batch.number }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ batch, value } in one" :key="batch.id" class="border-t border-line-2">
              <th scope="row" class="sticky left-0 bg-sheet py-1 pr-3 text-left">
                {{ answer.axis.text(value, say) }}
                <span class="text-[12px] font-normal text-ink-2">{{ batch.number }}</span>
              </th>
              <td
                v-for="beside in other"
                :key="beside.batch.id"
                class="px-2 text-right"
                :class="isMiddle(value - beside.value) ? 'bg-act-ground font-[650]' : ''"
              >
                {{ figure(value - beside.value) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <template #actions><AppButton @click="open = false">Close</AppButton></template>
  </AppDialog>
</template>
