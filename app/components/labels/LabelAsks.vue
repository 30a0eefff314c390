<script setup lang="ts">
import type { LabelDesign, LabelElement } from '#contracts/label'
import { claimSays, withoutClaim } from '#core/label/claims'
import { claimsOn, faultsOf, notOn, saysOf } from '#core/label/fit'
import { faultSays, partWords } from '#core/label/faultSays'
import type { Place } from '#core/label/places'
import type { LabelSaid } from '#core/label/subject'
import type { LabelEditing } from '~/composables/useLabelDesign'

/** What is to be seen to before a label is printed, each with its way out. */
const { editing, also, said, place } = defineProps<{
  editing: LabelEditing
  /** What is printed along with it. */
  also: LabelDesign | null
  said: LabelSaid
  place: Place
}>()
const emit = defineEmits<{
  /** An element goes on a paper of its own. */
  paper: [kind: 'back' | 'slip', element: string]
  put: [part: LabelElement['part']]
}>()
const { say } = storeToRefs(useWorkshop())
const design = computed(() => editing.design.value!)
/** What does not fit, of the whole: a card of many says each thing once. */
const faults = computed(() => faultsOf(design.value, said.words, said.net, place, also))
const over = computed(() => faults.value.find((fault) => fault.kind === 'over') ?? null)
const overElement = computed(
  () => design.value.elements.find(({ id }) => id === over.value?.element) ?? null,
)
const others = computed(() => faults.value.filter((fault) => fault !== over.value))
const lacking = computed(() => notOn(design.value, also).filter((part) => part !== 'list'))
const claims = computed(() => claimsOn(design.value, said.words))
function settleClaim(claim: (typeof claims.value)[number]) {
  const element = design.value.elements.find(({ id }) => id === claim.element)!
  const text = withoutClaim(saysOf(element, said.words), claim)
  editing.change(element.id, { text: text || ' ' })
}
const insteadOf = (claim: (typeof claims.value)[number]) => {
  const element = design.value.elements.find(({ id }) => id === claim.element)!
  const text = saysOf(element, said.words)
  const next = withoutClaim(text, claim)
  return next && next.length < 60 ? `Say “${next}”` : 'Leave it out'
}
function setType(fault: (typeof faults.value)[number]) {
  if (fault.size !== null) editing.change(fault.element, { size: fault.size })
}
</script>

<template>
  <div class="grid gap-3 empty:hidden">
    <section
      v-if="over && overElement"
      class="rounded-md bg-warn-ground px-4 py-3"
      role="group"
      aria-labelledby="over"
    >
      <h2 id="over" class="text-[14px] font-bold text-warn">
        {{ faultSays(over, design, say) }}
      </h2>
      <div class="mt-2 grid grid-cols-3 gap-2 text-[13px]">
        <button
          type="button"
          class="rounded-sm border border-warn bg-sheet px-2 py-1.5 text-left text-ink disabled:opacity-60"
          :disabled="over.size === null"
          @click="setType(over)"
        >
          <b class="block">{{
            over.size === null ? 'Smaller type' : `${say.number(over.size, 1)} mm type`
          }}</b>
          {{
            over.size === null
              ? `does not fit at ${say.number(place.smallestType, 1)} mm, the smallest allowed`
              : 'fits'
          }}
        </button>
        <button
          v-if="overElement.part === 'list'"
          type="button"
          class="rounded-sm border border-warn bg-sheet px-2 py-1.5 text-left text-ink"
          @click="emit('paper', 'back', overElement.id)"
        >
          <b class="block">Second label</b> for the back
        </button>
        <button
          v-if="overElement.part === 'list'"
          type="button"
          class="rounded-sm border border-warn bg-sheet px-2 py-1.5 text-left text-ink"
          @click="emit('paper', 'slip', overElement.id)"
        >
          <b class="block">A slip inside</b> laid in with it
        </button>
      </div>
    </section>
    <section
      v-if="others.length || claims.length || lacking.length"
      class="sheet divide-y divide-line"
      aria-label="To be seen to"
    >
      <div
        v-for="claim in claims"
        :key="claim.element + claim.says"
        class="flex items-start gap-3 px-4 py-2.5"
      >
        <span class="text-warn" aria-hidden="true">▲</span>
        <p class="flex-1">{{ claimSays(claim) }}</p>
        <button
          type="button"
          class="link max-w-[45%] text-right font-bold"
          @click="settleClaim(claim)"
        >
          {{ insteadOf(claim) }}
        </button>
      </div>
      <div
        v-for="fault in others"
        :key="fault.element + fault.kind"
        class="flex items-start gap-3 px-4 py-2.5"
      >
        <span class="text-warn" aria-hidden="true">▲</span>
        <p class="flex-1">{{ faultSays(fault, design, say) }}</p>
        <button
          v-if="fault.size !== null"
          type="button"
          class="link font-bold"
          @click="setType(fault)"
        >
          {{ say.number(fault.size, 1) }} mm
        </button>
        <button
          v-else-if="fault.kind === 'missing' && !fault.element"
          type="button"
          class="link font-bold"
          @click="emit('put', 'list')"
        >
          Put it on
        </button>
      </div>
      <p v-if="lacking.length" class="px-4 py-2.5 text-[13px] text-ink-2">
        Not on it: {{ say.list(lacking.map((part) => partWords[part])) }}.
      </p>
    </section>
  </div>
</template>
