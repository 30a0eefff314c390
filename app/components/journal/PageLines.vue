<script setup lang="ts">
import type { PageLine } from '#core/journal/page'
import type { PageAnswer } from '~/composables/usePageImport'

/** Line by line what was typed and what it was taken for; the one that is asked stands framed with its answers. */
const { lines, asked, answers, short } = defineProps<{
  lines: readonly PageLine[]
  asked: PageLine | null
  answers: readonly PageAnswer[]
  /** The word that could be learned with what it means. */
  short: string
}>()
const emit = defineEmits<{ learn: [long: string]; reopen: [line: PageLine] }>()
const { say } = storeToRefs(useWorkshop())
const meaning = ref('')
watch(
  () => short,
  () => (meaning.value = ''),
)
const strengths = ['gone', 'weak', 'clear', 'strong']
function taken({ recipe, seen }: PageLine): string {
  if (seen) {
    const parts = [
      ...(seen.traceMinutes === null
        ? []
        : [`trace after ${say.value.number(seen.traceMinutes, 0)} min`]),
      ...seen.strengths.map(
        ({ days, strength }) =>
          `scent ${strengths[strength]} after ${days % 7 ? say.value.count(days, 'day', 'days') : say.value.count(days / 7, 'week', 'weeks')}`,
      ),
    ]
    return say.value.list(parts)
  }
  if (!recipe) return ''
  return recipe.kind === 'title' ? 'kept as a note' : recipe.name
}
function much({ recipe }: PageLine): string {
  if (!recipe) return ''
  if (recipe.grams !== null) return say.value.mass(recipe.grams)
  if (recipe.share !== null) return say.value.percent(recipe.share)
  if (recipe.proportion?.held === 'ratio') return say.value.ratio(recipe.proportion.value)
  return recipe.proportion ? say.value.percent(recipe.proportion.value) : ''
}
</script>

<template>
  <div>
    <ol>
      <li
        v-for="(line, place) in lines"
        :key="place"
        class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)_64px] gap-x-3 border-t border-line-2 px-2 py-1"
        :class="line === asked ? 'my-1 rounded-sm border-2 border-warn bg-warn-ground py-2' : ''"
      >
        <span class="typed min-w-0 break-words">{{ line.typed }}</span>
        <template v-if="line === asked && line.recipe">
          <div class="col-span-2">
            <p class="font-bold" role="status">{{ line.recipe.says }}</p>
            <div class="mt-2 flex flex-wrap gap-2">
              <button
                v-for="(one, nth) in answers"
                :key="nth"
                type="button"
                class="flex items-center gap-2 rounded-sm border border-line-3 bg-field px-2.5 py-1.5 text-left text-on-field hover:border-ink"
                @click="one.act()"
              >
                <span
                  ><b class="font-[650]">{{ one.says }}</b
                  ><small v-if="one.also" class="block text-[12px]">{{ one.also }}</small></span
                >
                <kbd>{{ nth + 1 }}</kbd>
              </button>
            </div>
            <form v-if="short" class="mt-2 flex gap-2" @submit.prevent="emit('learn', meaning)">
              <input
                v-model="meaning"
                class="field min-w-0 flex-1"
                :aria-label="`What “${short}” means`"
                :placeholder="`“${short}” means something else`"
                maxlength="120"
              />
              <AppButton :disabled="!meaning.trim()" @click="emit('learn', meaning)"
                >Learn it</AppButton
              >
            </form>
          </div>
        </template>
        <template v-else>
          <span class="min-w-0" :class="{ 'text-warn': line.recipe?.doubtful }">{{
            line.recipe?.doubtful ? line.recipe.says : taken(line)
          }}</span>
          <span class="figure text-right">{{ much(line) }}</span>
        </template>
      </li>
    </ol>
  </div>
</template>
