<script setup lang="ts">
import { traitRules } from '#core/character/coefficients'
import { whatWouldHelp, type Help } from '#core/finder/help'
import { distance } from '#core/character/regions'
import { useDebounceFn } from '@vueuse/core'
import { inSentence } from '#core/units/language'

/** The three single changes that bring the formula nearest to its regions, each one click. */
const { document, result, regions, traits, apply } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()

const helps = shallowRef<Help[]>([])
const far = computed(() => distance(traits.value, regions.value))
const look = useDebounceFn(() => {
  helps.value = whatWouldHelp(
    document.value,
    result.value,
    library.value,
    regions.value,
    workshop.say,
  )
}, 120)
watch([document, regions], () => void look(), { immediate: true })
const insideWords = (help: Help) =>
  help.inside.length
    ? `${workshop.say.list(
        help.inside.map((trait) => inSentence(traitRules[trait].says)),
        'and',
      )} comes inside`
    : 'nearer, none comes inside yet'
</script>

<template>
  <div class="px-4 py-2.5">
    <p v-if="far === 0" class="text-ink-2">It is inside all its regions. Nothing needs help.</p>
    <p v-else-if="!helps.length" class="text-ink-2">
      No single change of a fat or of the superfat brings it nearer. The
      <NuxtLink to="/formulas/find" class="link">finder</NuxtLink> looks at all of them together.
    </p>
    <ul v-else class="grid gap-x-6 sm:grid-cols-3">
      <li v-for="help in helps" :key="help.label" class="flex items-start justify-between gap-3">
        <span
          >{{ help.label }}
          <small class="block text-sm text-ink-2"
            >{{ workshop.say.percent(1 - help.left, 0) }} of the way; {{ insideWords(help) }}</small
          ></span
        >
        <AppButton class="shrink-0" :aria-label="`Do: ${help.label}`" @click="apply(help.patch)">
          Do it
        </AppButton>
      </li>
    </ul>
  </div>
</template>
