<script setup lang="ts">
import type { RecipeLine } from '#core/recipe/read'

/** One line of somebody's recipe: their words on the left, what they were taken for on the right, and what is asked. */
const { line, from, question } = defineProps<{
  line: RecipeLine
  /** Number of its first answer among all that can be given. */
  from: number
  /** Which question of how many, where it asks one. */
  question: string
  answered: boolean
}>()
const emit = defineEmits<{ edit: [text: string]; take: [choice: number]; reopen: [] }>()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const substances = new Set(['fat', 'liquid', 'additive', 'scent'])
const colour = computed(() => {
  const { kind, id } = line
  if (substances.has(kind)) return substanceColour(kind as 'fat', id ?? '', library.value)
  if (kind === 'water' || kind === 'ice') return 'var(--color-water)'
  return ['naoh', 'koh', 'lye', 'ratio'].includes(kind) ? 'var(--color-lye)' : null
})
const much = computed(() => {
  if (line.solution !== null && line.grams !== null) return `${say.value.mass(line.grams)} of lye`
  if (line.grams !== null) return `${line.estimated ? '≈ ' : ''}${say.value.mass(line.grams)}`
  if (line.proportion)
    return line.proportion.held === 'ratio'
      ? say.value.ratio(line.proportion.value)
      : say.value.percent(line.proportion.value)
  if (line.share !== null) return say.value.percent(line.share, 2)
  const { amount } = line
  return amount?.kind === 'rate'
    ? `${say.value.number(amount.value, Number.isInteger(amount.value) ? 0 : 2)} ${amount.unit} per ${amount.per}`
    : ''
})
const also = computed(() => {
  if (line.says) return line.says
  if (line.kind === 'scent') return 'a scent'
  if (line.kind === 'lye' && line.solution === null) return 'taken as sodium hydroxide'
  if (line.kind === 'koh') return 'taken as 90 % pure'
  const liquid = line.kind === 'liquid' ? library.value.liquids.get(line.id ?? '') : undefined
  if (liquid?.naohTaken && line.grams)
    return `takes ${say.value.mass(liquid.naohTaken * line.grams)} of the lye`
  return ''
})
</script>

<template>
  <li
    class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] border-t border-line"
    :class="line.doubtful ? 'border-l-4 border-l-warn' : ''"
  >
    <div class="bg-chalk/70 px-3 py-1.5">
      <input
        class="typed w-full rounded-sm border border-transparent bg-transparent px-1 py-0.5 text-[16px] hover:border-line-3 focus:bg-field"
        :value="line.text"
        :aria-label="`As written: ${line.text}`"
        maxlength="300"
        @change="emit('edit', ($event.target as HTMLInputElement).value)"
      />
      <PegRow v-if="line.pegs.length" :reading="line" bare class="-mt-0.5 px-[5px] text-[16px]" />
    </div>
    <div class="min-w-0 border-l border-line px-4 py-2">
      <template v-if="line.doubtful">
        <p class="flex justify-between gap-3">
          <b>{{ line.says }}</b>
          <span class="shrink-0 font-semibold text-warn">{{ question }}</span>
        </p>
        <div class="mt-2 flex flex-wrap gap-1.5">
          <button
            v-for="(option, index) in line.options"
            :key="index"
            type="button"
            class="flex items-center gap-2 rounded-sm border border-line-3 bg-field px-2.5 py-1.5 text-left hover:border-ink"
            @click="emit('take', index)"
          >
            <kbd v-if="from + index <= 9">{{ from + index }}</kbd>
            <span>
              <b class="block font-semibold">{{
                option.kind === 'title' ? 'Leave it out' : option.name
              }}</b>
              <small class="block text-ink-2">{{ option.says }}</small>
            </span>
          </button>
        </div>
        <p v-if="!line.options.length" class="text-ink-2">Change the words on the left.</p>
      </template>
      <p v-else class="flex items-start gap-2.5">
        <i
          v-if="colour"
          class="mt-0.5 h-4 w-3 shrink-0 rounded-[2px] border border-black/15"
          :style="{ background: colour }"
        />
        <span class="min-w-0">
          <span v-if="line.kind === 'title'" class="text-ink-2">{{ line.says || 'left out' }}</span>
          <template v-else>
            <b class="font-semibold">{{ line.name }}</b>
            <small class="ml-1.5 text-ink-2">{{ also }}</small>
          </template>
          <small v-if="answered" class="ml-1.5 text-ink-2"
            >you said so
            <button type="button" class="link" @click="emit('reopen')">Change</button></small
          >
        </span>
        <b class="figure ml-auto shrink-0 font-semibold">{{ much }}</b>
      </p>
    </div>
  </li>
</template>
